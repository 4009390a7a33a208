import { expect, it } from "vitest";
import { roundAs } from "./ellipse";

it.each(["bust", "waist", "hip", "thigh", "neck"])("goes round as far as the girth at the %s", (level) => {
  for (const girth of [300, 812.8, 1400]) {
    const { rx, ry } = roundAs(girth, level);
    let way = 0;
    const at = (k: number) => [rx * Math.cos((k * Math.PI) / 2000), ry * Math.sin((k * Math.PI) / 2000)] as const;
    for (let k = 0; k < 4000; k++) way += Math.hypot(at(k + 1)[0] - at(k)[0], at(k + 1)[1] - at(k)[1]);
    expect(Math.abs(way - girth)).toBeLessThan(0.2);
  }
});
