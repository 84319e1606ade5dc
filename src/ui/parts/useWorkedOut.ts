'use client';
import { useEffect, useState } from 'react';

/** An answer that was worked out beside the page, or why there is none. */
export interface WorkedOut<Q, A> {
  /** The question to which this is the answer: of an older one while the newest is worked out. */
  readonly of: Q;
  readonly answer: A | null;
  readonly failed: string | null;
}

/**
 * Has a question answered beside the page, anew whenever it is another; the last answer stays until the next is there.
 *
 * @param of       the question, the same object for as long as it is the same; null: none
 * @param ask      the same function at every drawing
 * @param rest_ms  asks only once the question has stayed as it is for so long
 */
export function useWorkedOut<Q, A>(of: Q | null, ask: (of: Q) => Promise<A>, rest_ms = 0): WorkedOut<Q, A> | null {
  const [told, setTold] = useState<WorkedOut<Q, A> | null>(null);
  useEffect(() => {
    if (of === null) return;
    let gone = false;
    const look = () => {
      ask(of).then(
        (answer) => !gone && setTold({ of, answer, failed: null }),
        (reason: unknown) => !gone && setTold({ of, answer: null, failed: reason instanceof Error ? reason.message : String(reason) }),
      );
    };
    const waiting = rest_ms > 0 ? setTimeout(look, rest_ms) : null;
    if (waiting === null) look();
    return () => {
      gone = true;
      if (waiting !== null) clearTimeout(waiting);
    };
  }, [of, ask, rest_ms]);
  return told;
}
