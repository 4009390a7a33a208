import "@fontsource-variable/atkinson-hyperlegible-next";
import { createRoot } from "react-dom/client";
import { memory, Providers } from "./app/providers";
import { begin, Routes } from "./app/routes";

begin(location.pathname, memory);
createRoot(document.getElementById("root")!).render(
  <Providers>
    <Routes />
  </Providers>,
);
