/** Chalk on cloth: the house's colours, type and spacing. docs/glossary.md names the parts. */
import { createSystem, defaultBaseConfig, defineConfig, type SystemStyleObject } from "@chakra-ui/react";

type Pair = { light: string; dim: string };

/** Every colour, for the day and for dim evenings. tests: theme.test.ts computes the contrasts. */
export const colours: Record<string, Pair> = {
  calico: { light: "#F1ECDF", dim: "#171A26" },
  sheet: { light: "#FCFAF4", dim: "#20243A" },
  well: { light: "#E6DFCE", dim: "#11141E" },
  ink: { light: "#1B2038", dim: "#F2EEE2" },
  ink2: { light: "#4A4F68", dim: "#B9BDCF" },
  edge: { light: "#857A61", dim: "#7E86A8" },
  hairline: { light: "#C9BFA8", dim: "#3A405C" },
  dye: { light: "#2B3A78", dim: "#A9B6F2" },
  onDye: { light: "#FFFFFF", dim: "#12162A" },
  dyeSoft: { light: "#DDE1F0", dim: "#2C3560" },
  marigold: { light: "#F0B22E", dim: "#F0B22E" },
  onMarigold: { light: "#1B2038", dim: "#1B2038" },
  marigoldDeep: { light: "#7A5200", dim: "#F4C65F" },
  madder: { light: "#A32A22", dim: "#FF9A8C" },
  madderSoft: { light: "#F7DDD8", dim: "#4A2422" },
  moss: { light: "#3A6130", dim: "#9CCB8A" },
  mossSoft: { light: "#DFE9D7", dim: "#24371F" },
  tape: { light: "#F2E2A6", dim: "#D9C77F" },
  tapeInk: { light: "#2A2410", dim: "#2A2410" },
  chalk: { light: "#FBF8EF", dim: "#FBF8EF" },
  pencil: { light: "#141830", dim: "#141830" },
};

const paper = (style: SystemStyleObject) => ({ "@media print": style });

/** On paper a page is as long as what it holds, on white, without what is pressed. */
const ON_PAPER = {
  "html, body, #root, #root > div": paper({ height: "auto !important", background: "white !important" }),
  "main, main *:not(svg, svg *, [data-clipped])": paper({
    height: "auto",
    maxHeight: "none",
    minHeight: "0",
    overflow: "visible !important",
  }),
  "nav, [data-screen], main button:not(td button, details li button, [data-paper]), main input[type=search]": paper({
    display: "none !important",
  }),
  "main details::details-content": paper({ contentVisibility: "visible !important", display: "block !important" }),
  "main li, main tr, main figure, main label": paper({ breakInside: "avoid" }),
  "main h1, main h2, main h3, main legend": paper({ breakAfter: "avoid" }),
  // A sum stands under its last row, not at the foot of every sheet.
  "main tfoot": paper({ display: "table-row-group" }),
  "main *": paper({ outline: "none !important" }),
};

const spaces = [4, 8, 12, 16, 24, 32, 48, 64];

export const system = createSystem(
  {
    ...defaultBaseConfig,
    theme: {
      ...defaultBaseConfig.theme,
      tokens: {},
      semanticTokens: {},
      recipes: {},
      slotRecipes: {},
      textStyles: {},
      layerStyles: {},
    },
  },
  defineConfig({
    conditions: { dim: "[data-light=dim] &" },
    globalCss: {
      "html, body, #root": { height: "100%" },
      body: {
        background: "calico",
        color: "ink",
        fontFamily: "body",
        fontSize: "17px",
        lineHeight: "1.5",
        fontVariantNumeric: "tabular-nums",
        margin: 0,
      },
      ":focus-visible": { outline: "3px solid {colors.dye}", outlineOffset: "2px" },
      "h1, h2, h3, p, ul, ol, dl, figure, fieldset": { margin: 0, padding: 0 },
      "*, ::before, ::after": { boxSizing: "border-box" },
      "button, input, select, textarea": { font: "inherit", color: "inherit", margin: 0 },
      button: { background: "none", border: 0, padding: 0, borderRadius: 0 },
      a: { color: "inherit" },
      summary: { paddingBlock: "10px", cursor: "pointer" },
      table: { borderCollapse: "collapse" },
      "*": { "@media (prefers-reduced-motion: reduce)": { transitionDuration: "0s !important" } },
      ...ON_PAPER,
    },
    theme: {
      breakpoints: { sm: "480px", md: "800px", lg: "1024px" },
      tokens: {
        fonts: { body: { value: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" } },
        spacing: Object.fromEntries(spaces.map((size) => [size, { value: `${size}px` }])),
        sizes: { margin: { value: "336px" }, rail: { value: "84px" }, touch: { value: "48px" } },
        radii: { cut: { value: "2px" } },
      },
      semanticTokens: {
        colors: Object.fromEntries(
          Object.entries(colours).map(([name, pair]) => [name, { value: { base: pair.light, _dim: pair.dim } }]),
        ),
      },
    },
  }),
);
