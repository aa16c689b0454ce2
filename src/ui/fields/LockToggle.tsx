"use client";
import { Field, Flex, IconButton } from "@chakra-ui/react";
import { Lock, LockOpen } from "lucide-react";
import { createContext, useContext } from "react";
import { isLocked } from "@/core/knife/design/marks";
import { useBench, useDesign } from "../bench/BenchContext";

/** The place in the design that a field is bound to, for its lock; null of a field that has none. */
export const LockAt = createContext<string | null>(null);

/** What fixes and levers may change: only there a lock has a meaning. */
const LOCKABLE = /^(blade|tang|handle|guard|fasteners)\./;

/** A label, and beside it the lock of what its field is bound to. */
export function LockableLabel({ label }: { label: string }) {
  const at = useContext(LockAt);
  return (
    <Flex align="center" gap="1" minW="0" className="lockable">
      <Field.Label color="ink" fontWeight="400">
        {label}
      </Field.Label>
      {at !== null && LOCKABLE.test(at) && <LockToggle at={at} label={label} />}
    </Flex>
  );
}

/** Locks a value, so that fixes, levers and the solver leave it alone; its maker changes it all the same. */
function LockToggle({ at, label }: { at: string; label: string }) {
  const { edit } = useBench();
  const locked = useDesign((d) => isLocked(d, at));
  const name = `${locked ? "Unlock" : "Lock"} ${label.toLowerCase()}`;
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
