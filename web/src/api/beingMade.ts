/** What the server makes on its queue, since it takes longer than an answer may: it is asked for until it is there. */
import { Refused } from "./client";

/** So often it is asked for, and so many ms are between. */
const MOST = 80;
const PAUSE = 1500;

export async function whenMade<T>(ask: () => Promise<T>, signal?: AbortSignal, pause = PAUSE): Promise<T> {
  for (let asked = 1; ; asked++) {
    try {
      return await ask();
    } catch (error) {
      const waits = error instanceof Refused && error.code === "being_made";
      if (!waits || asked >= MOST || signal?.aborted) throw error;
    }
    await new Promise((go) => setTimeout(go, pause));
  }
}
