import type { ReactNode } from "react";

/** Line drawings of our own, 24 px, like chalk. */
function Icon({ children }: { children: ReactNode }) {
  return (
    <svg
      width="24"
      height="24"
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.75"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      {children}
    </svg>
  );
}

/** A table with a cloth hanging over it. */
export const BenchIcon = () => (
  <Icon>
    <path d="M3 9h18M5 9v11M19 9v11M8 9v5c1 1.5 3 1.5 4 0s3-1.5 4 0V9" />
  </Icon>
);
/** A dress form. */
export const ClientIcon = () => (
  <Icon>
    <path d="M10 3h4M12 3v2M8 6c-1 2 1 4 .5 6-.4 1.600-1 2.500-1 4h9c0-1.500-.6-2.400-1-4C15 10 17 8 16 6c-2-1-6-1-8 0zM12 16v5M9 21h6" />
  </Icon>
);
/** Three lines with a mark on each: what is set where. */
export const SettingsIcon = () => (
  <Icon>
    <path d="M4 7h9M17 7h3M4 12h3M11 12h9M4 17h10M18 17h2M13 5.500v3M17 5.500v3M7 10.500v3M11 10.500v3M14 15.500v3M18 15.500v3" />
  </Icon>
);
/** A door with an arrow out. */
export const LeaveIcon = () => (
  <Icon>
    <path d="M13 4H5v16h8M10 12h10M17 9l3 3-3 3" />
  </Icon>
);
/** Folded cloths on a shelf. */
export const ShelfIcon = () => (
  <Icon>
    <path d="M3 20h18M5 20v-4h14v4M6 16c-1.500 0-1.500-4 0-4h12M8 12c-1.500 0-1.500-4 0-4h8v4M3 4h18" />
  </Icon>
);
/** A lamp over the table. */
export const LampIcon = () => (
  <Icon>
    <path d="M12 3v5M6 14c0-4 3-6 6-6s6 2 6 6zM10 17c1 1 3 1 4 0" />
  </Icon>
);
/** Two drafts over each other. */
export const MethodsIcon = () => (
  <Icon>
    <path d="M5 4h7c0 4 1 5 3 6l-1 10H5zM9 6h7c0 4 1 4 4 5l-2 9" />
  </Icon>
);
/** Two at one table. */
export const PeopleIcon = () => (
  <Icon>
    <path d="M8 5a3 3 0 1 0 .1 0M16 5a3 3 0 1 0 .1 0M3 20c0-5 2-7 5-7s4 2 4 5c0-3 1-5 4-5s5 2 5 7" />
  </Icon>
);
/** A tick, or a cross where something is not so; `label` for who does not see it. */
export function Sign({ ok = true, label }: { ok?: boolean; label?: string }) {
  return (
    <svg
      width="16"
      height="16"
      viewBox="0 0 16 16"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      {...(label ? { role: "img", "aria-label": label } : { "aria-hidden": true })}
    >
      <path d={ok ? "M2 9l4 4 8-10" : "M3 3l10 10M13 3L3 13"} />
    </svg>
  );
}
