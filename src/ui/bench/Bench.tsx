"use client";
import { Button, Flex, HStack, Stack, Text, VisuallyHidden } from "@chakra-ui/react";
import { useDeferredValue, useEffect, useState } from "react";
import { type Autosave, createAutosave } from "@/store/autosave";
import { firstVisit } from "@/store/firstVisit";
import { historyOf } from "@/store/history";
import { openKnife } from "@/store/knives";
import type { Damaged } from "@/store/reading";
import { createSession, type Session } from "@/store/session";
import { askToPersist } from "@/store/storage";
import { damageWords } from "@/words/storage";
import { downloadRaw } from "../files/files";
import { NearLink } from "../kit/NearLink";
import { LineNotice } from "../line/LineNotice";
import { PRODUCT_VIEWS } from "../products/list";
import { viewsOf } from "../products/viewsOf";
import { useProduct } from "../session/BenchContext";
import { BenchProvider } from "../session/BenchProvider";
import type { ProductViews } from "../session/product";
import { Header } from "../shell/Header";
import { BenchTools } from "./BenchTools";
import { OtherTab } from "./OtherTab";
import { type Place, PlaceSwitch, placeInAddress, placeName, putInAddress } from "./PlaceSwitch";
import { ReadoutBar } from "./ReadoutBar";
import { StepPanel } from "./StepPanel";
import { Views } from "./Views";

type Opening =
  | { readonly state: "opening" }
  | { readonly state: "missing" }
  | { readonly state: "failed"; readonly reason: string }
  | { readonly state: "damaged"; readonly damaged: Damaged }
  | {
      readonly state: "open";
      readonly session: Session;
      readonly autosave: Autosave;
      readonly views: ProductViews;
    };

/** Opens a knife, with its history; what is opened is let go again with the page. */
function useOpening(id: string): Opening {
  const [opening, setOpening] = useState<Opening>({ state: "opening" });
  // What is opened is not known yet; most knives have a fixed blade.
  useEffect(() => PRODUCT_VIEWS[0].preload(), []);
  useEffect(() => {
    let autosave: Autosave | null = null;
    let closed = false;
    void (async () => {
      try {
        await firstVisit();
        const found = await openKnife(id);
        if (closed) return;
        if (!found) return setOpening({ state: "missing" });
        const { reading, stored } = found;
        if (!reading.ok) return setOpening({ state: "damaged", damaged: reading.damaged });
        const { record } = reading;
        // A history that cannot be read is no reason not to open the knife.
        const history = await historyOf(id, record.design, stored).catch(() => undefined);
        if (closed) return;
        const session = createSession(record.design, history?.timeline);
        autosave = createAutosave(session, record, history?.timeline, history?.stale);
        void askToPersist();
        setOpening({ state: "open", session, autosave, views: viewsOf(record.design) });
      } catch (error) {
        if (!closed)
          setOpening({ state: "failed", reason: error instanceof Error ? error.message : String(error) });
      }
    })();
    return () => {
      closed = true;
      autosave?.dispose();
    };
  }, [id]);
  return opening;
}

/** The view that is open, and how many were opened before it: one that is opened again begins anew. */
interface Opened {
  readonly place: Place;
  readonly visit: number;
}

/** One design: its drawing, the step at hand, and what it weighs. */
export function Bench({ id }: { id: string }) {
  const opening = useOpening(id);
  const [opened, setOpened] = useState<Opened>({ place: "bench", visit: 0 });
  const { place } = opened;
  // A view with all its sections is drawn a little at a time: meanwhile the page answers, and shows the one before.
  const shown = useDeferredValue(opened);
  const go = (to: Place) => {
    setOpened((now) => (now.place === to ? now : { place: to, visit: now.visit + 1 }));
    putInAddress(to);
  };
  useEffect(() => setOpened({ place: placeInAddress(), visit: 1 }), []);
  if (opening.state !== "open") return <NotOpen opening={opening} />;
  const { views } = opening;
  const More = shown.place === "bench" ? undefined : views.places[shown.place];
  const pressed = place === "bench" || views.places[place] ? place : "bench";
  return (
    <BenchProvider knifeId={id} session={opening.session} autosave={opening.autosave} views={views}>
      {/* A narrow window scrolls as one page; a wide one has its parts side by side, each scrolled by itself. */}
      <Flex
        direction="column"
        position="relative"
        minH="100dvh"
        h={{ lg: "100vh" }}
        overflow={{ lg: "clip" }}
      >
        <Header>
          <Flex align="center" gap={{ base: "2", xl: "4" }} minW="0" wrap={{ base: "wrap", lg: "nowrap" }}>
            <PlaceSwitch place={pressed} onChange={go} />
            <BenchTools onPattern={views.places.pattern ? () => go("pattern") : null} />
          </Flex>
        </Header>
        <OtherTab />
        <LineNotice />
        <Flex as="main" flex="1" minH="0" direction={{ base: "column", lg: "row" }}>
          <KnifeHeading place={pressed} />
          {More ? (
            <More key={shown.visit} onDone={() => go("bench")} />
          ) : (
            <>
              <Views />
              <StepPanel />
            </>
          )}
        </Flex>
        <ReadoutBar listed={More !== undefined && shown.place === "fit"} />
      </Flex>
    </BenchProvider>
  );
}

/** What the page is about, for those who hear it: those who see it have the name and the pressed view over it. */
function KnifeHeading({ place }: { place: Place }) {
  const name = useProduct((d) => d.name);
  return (
    <VisuallyHidden as="h1">
      {name}: {placeName(place)}
    </VisuallyHidden>
  );
}

/** A knife that is being opened, or why it is not. */
function NotOpen({ opening }: { opening: Exclude<Opening, { readonly state: "open" }> }) {
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" align="center" gap="3" py="24">
        {opening.state === "opening" && <Text color="graphite">Opening …</Text>}
        {opening.state === "failed" && (
          <Text color="fault">The browser's database cannot be used: {opening.reason}</Text>
        )}
        {opening.state === "damaged" && <DamagedKnife damaged={opening.damaged} />}
        {opening.state === "missing" && (
          <>
            <Text fontSize="lg" fontWeight="600">
              This knife is not on the rack
            </Text>
            <Text color="graphite">It may have been deleted, or it is kept in another browser.</Text>
            <ToRack />
          </>
        )}
      </Stack>
    </Flex>
  );
}

function DamagedKnife({ damaged }: { damaged: Damaged }) {
  return (
    <>
      <Text fontSize="lg" fontWeight="600">
        {damaged.name} cannot be read
      </Text>
      <Text color="graphite" maxW="620px">
        {damageWords(damaged.reason)} What is kept of it is untouched.
      </Text>
      <HStack>
        <Button variant="outline" onClick={() => downloadRaw(damaged.name, damaged.raw)}>
          Export the raw record
        </Button>
        <ToRack />
      </HStack>
    </>
  );
}

const ToRack = () => (
  <Button asChild>
    <NearLink href="/">Back to the rack</NearLink>
  </Button>
);
