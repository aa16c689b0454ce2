import { type Call, callOf, keyOf } from "./call";
import type { Answer, Client } from "./client";
import type { ServiceName } from "./pool.messages";
import { createSlot, type Slot } from "./slot";

/**
 * Where a client's questions go. The first worker is kept for weighings, so that none waits for anything else; "own" takes a
 * worker for itself until it is disposed, for a service that remembers what it was asked before.
 */
export type Lane = "first" | "others" | "own";

export interface PooledOptions {
  /** A worker that is silent for longer than this is taken for dead, ms. */
  readonly withinMs: number;
  /** Of questions that wait while another is being answered only the "latest" is asked; or "all" are, in turn. */
  readonly waiting: "all" | "latest";
  readonly lane: Lane;
  /** Whether the same question has the same answer: it is remembered then, and shared with whoever asks it meanwhile. */
  readonly remembered: boolean;
}

/** So many answers are remembered, those that were not asked for longest forgotten first. */
const MOST_REMEMBERED = 60;

/** An answer that is known or on its way, and how many wait for it. */
interface Remembered {
  readonly answer: Promise<Answer<unknown>>;
  waiting: number;
}

interface Waiting {
  readonly lane: Lane;
  /** Whoever asks. */
  readonly of: object;
  readonly run: (slot: Slot) => void;
  readonly drop: () => void;
}

/**
 * A few workers for everything that is worked out beside the page, at most `size` of them, each started when it is first
 * needed. A question waits for a free worker; one that was given up does not keep a worker from the next.
 */
export function createPool(start: () => Worker, size: number) {
  const slots: Slot[] = Array.from({ length: Math.max(1, size) }, () => createSlot(start));
  const queue: Waiting[] = [];
  const owned = new Map<object, Slot>();
  const answers = new Map<string, Remembered>();

  /** The workers that a question may go to, the one that is at work already before one that has to be started. */
  function slotsFor({ lane, of }: Waiting): readonly Slot[] {
    if (lane === "first") return [slots[0]];
    const mine = owned.get(of);
    if (mine) return [mine];
    const taken = new Set(owned.values());
    const others = slots.slice(1).filter((s) => !taken.has(s));
    const running = [...others].sort((a, b) => Number(b.running()) - Number(a.running()));
    return running.length > 0 ? running : [slots[0]];
  }

  function dispatch(): void {
    for (const waiting of [...queue]) {
      const may = slotsFor(waiting);
      const free = may.find((s) => s.free()) ?? may.find((s) => s.clear());
      if (!free) continue;
      queue.splice(queue.indexOf(waiting), 1);
      if (waiting.lane === "own") owned.set(waiting.of, free);
      waiting.run(free);
    }
  }

  function ask<T>(
    service: ServiceName,
    call: Call,
    limitMs: number,
    lane: Lane,
    of: object,
    isWanted: () => boolean,
  ): Promise<Answer<T>> {
    return new Promise((answer) => {
      queue.push({
        lane,
        of,
        run: (slot) =>
          slot
            .ask((remote) => remote.call(service, call.method, ...call.args), limitMs, isWanted)
            .then((a) => {
              answer(a as Answer<T>);
              dispatch();
            }),
        drop: () => answer(DISPOSED),
      });
      dispatch();
    });
  }

  /** The same question is asked once while it is remembered; whoever shares its answer waits for it as long as anybody does. */
  function remembered(key: string, fresh: (isWanted: () => boolean) => Promise<Answer<unknown>>): Remembered {
    const known = answers.get(key);
    answers.delete(key);
    const made: Remembered = known ?? { answer: fresh(() => made.waiting > 0), waiting: 0 };
    answers.set(key, made);
    if (answers.size > MOST_REMEMBERED) answers.delete(answers.keys().next().value as string);
    // What failed, or was given up, is asked anew.
    if (!known)
      void made.answer.then((a) => {
        if (!a.ok && answers.get(key) === made) answers.delete(key);
      });
    return made;
  }

  function client<S>(service: ServiceName, options: PooledOptions): Client<S> {
    const { withinMs, waiting, lane } = options;
    const of = {};
    let disposed = false;
    /** Ends every question of this client that is not answered yet. */
    const open = new Set<(answer: Answer<unknown>) => void>();
    let busy = 0;
    let next: { readonly send: () => void; readonly drop: (answer: Answer<never>) => void } | null = null;

    function send<T>(call: Call, limitMs: number, answer: (answer: Answer<Awaited<T>>) => void): void {
      busy++;
      let wanted = true;
      const key = options.remembered ? keyOf(service, call) : null;
      const asking = (isWanted: () => boolean) => ask<unknown>(service, call, limitMs, lane, of, isWanted);
      const shared = key === null ? null : remembered(key, asking);
      if (shared) shared.waiting++;
      const end = (result: Answer<unknown>) => {
        if (!open.delete(end)) return;
        wanted = false;
        if (shared) shared.waiting--;
        busy--;
        answer(result as Answer<Awaited<T>>);
        if (busy > 0) return;
        const following = next;
        next = null;
        following?.send();
      };
      open.add(end);
      void (shared?.answer ?? asking(() => wanted)).then(end);
    }

    return {
      ask: <T>(question: (service: S) => T, limitMs = withinMs): Promise<Answer<Awaited<T>>> =>
        new Promise((answer) => {
          if (disposed) return answer(DISPOSED);
          const call = callOf(question);
          if (waiting === "all" || busy === 0) return send<T>(call, limitMs, answer);
          next?.drop(SUPERSEDED);
          next = { send: () => send<T>(call, limitMs, answer), drop: answer };
        }),
      dispose: () => {
        disposed = true;
        next?.drop(DISPOSED);
        next = null;
        for (const end of [...open]) end(DISPOSED);
        // A question that others may share is asked all the same.
        if (!options.remembered)
          for (const mine of queue.filter((q) => q.of === of)) {
            queue.splice(queue.indexOf(mine), 1);
            mine.drop();
          }
        // What it remembers goes with its worker, but for the first, where others weigh.
        const own = owned.get(of);
        owned.delete(of);
        if (own !== slots[0]) own?.stop();
        dispatch();
      },
    };
  }

  return {
    client,
    /** Workers that run now. */
    running: () => slots.filter((s) => s.running()).length,
    /** Ends all workers, and forgets what was remembered. */
    stop: () => {
      for (const waiting of queue.splice(0)) waiting.drop();
      owned.clear();
      for (const slot of slots) slot.stop();
      answers.clear();
    },
  };
}

export type Pool = ReturnType<typeof createPool>;

const SUPERSEDED: Answer<never> = { ok: false, code: "superseded", message: "a later question was asked" };
const DISPOSED: Answer<never> = { ok: false, code: "disposed", message: "it is not waited for" };
