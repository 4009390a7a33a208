import "@fontsource-variable/atkinson-hyperlegible-next";

// Each part is read and run by itself: in one go they would keep the page from answering for longer than a blink.
const parts = [import("react-dom/client"), import("./app/providers"), import("./app/routes")] as const;
void Promise.all(parts).then(([{ createRoot }, { memory, Providers }, { begin, Routes }]) => {
  begin(location.pathname, memory);
  createRoot(document.getElementById("root")!).render(
    <Providers>
      <Routes />
    </Providers>,
  );
});
