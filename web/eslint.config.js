import { readdirSync } from "node:fs";
import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

const features = readdirSync(new URL("src/features", import.meta.url));

export default tseslint.config(
  { ignores: ["src/api/schema.gen.ts"] },
  ...tseslint.configs.recommended,
  { plugins: { "react-hooks": hooks }, rules: hooks.configs.recommended.rules },
  // A feature is one room: it never imports from another.
  ...features.map((name) => ({
    files: [`src/features/${name}/**`],
    rules: {
      "no-restricted-imports": [
        "error",
        { patterns: features.filter((other) => other !== name).map((other) => `**/${other}/*`) },
      ],
    },
  })),
  // Numbers and geometry know nothing of React.
  {
    files: ["src/lengths/**", "src/geometry/**"],
    rules: { "no-restricted-imports": ["error", { patterns: ["react", "react-dom", "@chakra-ui/*"] }] },
  },
);
