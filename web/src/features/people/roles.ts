/** What each role may do, in words. */
import type { Role } from "../../api/people";

export const ROLES: { value: Role; label: string; may: string }[] = [
  { value: "owner", label: "Owner", may: "everything, and who works here" },
  { value: "cutter", label: "Cutter", may: "clients, measuring, orders and lays; erases nobody" },
  { value: "apprentice", label: "Apprentice", may: "measures and lays; sees no phone numbers" },
  { value: "sewer", label: "Sewer", may: "reads orders, plans and marks; sees no phone numbers" },
];
