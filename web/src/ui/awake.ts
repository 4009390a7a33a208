import { useEffect } from "react";

/** The screen stays on while this is shown, where the device lets a page ask for that: hands have chalk on them. */
export function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const ask = async () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      try {
        lock = await navigator.wakeLock.request("screen");
        if (over) void lock.release();
      } catch {
        // The device saves its battery: then it goes dark as it always does.
      }
    };
    void ask();
    // It is let go when another window comes in front.
    document.addEventListener("visibilitychange", ask);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, []);
}
