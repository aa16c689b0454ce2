import "fake-indexeddb/auto";
import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, render } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach } from "vitest";
import type { ProductDesign } from "@/core/knife/design/product";
import { modelOf } from "@/core/products/modelOf";
import { benchService } from "@/pool/bench.service";
import { type Autosave, createAutosave } from "@/store/autosave";
import { addKnife } from "@/store/knives";
import { createSession, type Session } from "@/store/session";
import { poolOver } from "@/workers/port.fixtures";
import { Notices } from "./kit/Notices";
import { system } from "./kit/theme";
import { viewsOf } from "./products/viewsOf";
import { BenchProvider } from "./session/BenchProvider";

/** The same services as in the browser, over a real message channel in this process. */
const SERVICES = {
  weigh: { weigh: (design: ProductDesign) => modelOf(design).weigh(design) },
  bench: benchService,
};

/** Stands for the workers of the browser's pool. */
class WorkerHere {
  constructor(url: URL) {
    if (!/pool\.worker/.test(url.href)) throw new Error(`no service for ${url.href}`);
    // biome-ignore lint/correctness/noConstructorReturn: a worker by its two ends
    return poolOver(SERVICES).start() as never;
  }
}
Object.assign(globalThis, { Worker: WorkerHere });
// What the page's layout asks of a browser, and has no answer here.
globalThis.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};
Element.prototype.scrollTo ??= () => undefined;
Element.prototype.setPointerCapture ??= () => undefined;

afterEach(cleanup);

/** Puts a knife on the bench, kept as in the browser, and shows something of it. */
export async function onBench<D extends ProductDesign>(design: D, content: ReactNode) {
  const record = { ...(await addKnife(design)), design, reference: null };
  const session = createSession(design);
  const autosave = createAutosave(session, record);
  const shown = render(
    <ChakraProvider value={system}>
      <BenchProvider
        knifeId={record.id}
        session={session as unknown as Session}
        autosave={autosave as unknown as Autosave}
        views={viewsOf(design)}
      >
        {content}
      </BenchProvider>
      <Notices />
    </ChakraProvider>,
  );
  return { ...shown, session, autosave, design: () => session.getState().design };
}
