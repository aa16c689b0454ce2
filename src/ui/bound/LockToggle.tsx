"use client";
import { IconButton } from "@chakra-ui/react";
import { Lock, LockOpen } from "lucide-react";
import { createContext, type ReactNode, useContext } from "react";
import { isLocked } from "@/core/knife/design/marks";
import { small } from "@/words/grammar";
import { BesideLabel } from "../fields/FieldLabel";
import { useNameWithWhose } from "../kit/whose";
import { useBench, useDesign } from "../session/BenchContext";

/** What fixes and levers may change: only there a lock has a meaning. */
const LOCKABLE = /^(blade|tang|handle|guard|fasteners)\./;

const LockedPath = createContext("");

/** Puts a lock beside the label of the field within, which is bound to a place in the design. */
export function LockAt({ at, children }: { at: string; children: ReactNode }) {
  if (!LOCKABLE.test(at)) return children;
  return (
    <LockedPath value={at}>
      <BesideLabel value={LockToggle}>{children}</BesideLabel>
    </LockedPath>
  );
}

/** Locks a value, so that fixes, levers and the solver leave it alone; its maker changes it all the same. */
function LockToggle({ label }: { label: string }) {
  const at = useContext(LockedPath);
  const { edit } = useBench();
  const locked = useDesign((d) => isLocked(d, at));
  const name = useNameWithWhose(`${locked ? "Unlock" : "Lock"} ${small(label)}`);
  return (
    <IconButton
      aria-label={name}
      aria-pressed={locked}
      title={
        locked ? "Locked: fixes and levers leave it alone" : "Lock: fixes and levers will leave it alone"
      }
      className="lock-toggle"
      data-locked={locked || undefined}
      variant="ghost"
      size="2xs"
      onClick={() => edit({ code: "lock", at, locks: !locked })}
    >
      {locked ? <Lock /> : <LockOpen />}
    </IconButton>
  );
}
