import js from "@eslint/js";
import svelte from "eslint-plugin-svelte";
import globals from "globals";
import ts from "typescript-eslint";

export default ts.config(
  {
    ignores: [
      "**/node_modules",
      ".build",
      "**/bin",
      "**/obj",
      "src/Web/wwwroot",
      "src/ui/src/paraglide",
      "src/ui/src/api/schema.d.ts",
      "tests/ui/results",
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  // TypeScript itself knows which names there are.
  { rules: { "no-undef": "off", "svelte/no-navigation-without-resolve": "off" } },
  // Naming a property to leave it out is a use of it.
  { rules: { "@typescript-eslint/no-unused-vars": ["error", { ignoreRestSiblings: true }] } },
  // Whatever is asked of the kitchen goes through call(), which tells every failure.
  {
    files: ["src/ui/src/**"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "CallExpression[callee.object.name=/^(api|patient)$/]:not(CallExpression[callee.name='call'] CallExpression)",
          message: "Ask the kitchen through call().",
        },
      ],
    },
  },
  { files: ["**/*.svelte", "**/*.svelte.ts"], languageOptions: { parserOptions: { parser: ts.parser } } },
);
