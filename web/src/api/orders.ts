/** Orders, their garments and their cloths: read, and written row by row. */
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { planAnew, scopeOf } from "./anew";
import { read, type Unit } from "../lengths/units";
import type { Row } from "../offline/store";
import { server, answered } from "./client";
import { waiting } from "./outbox";
import { changedBy, forget } from "./undo";
import { useRowWrite, withAhead } from "./rows";
import type { components } from "./schema.gen";

type Schemas = components["schemas"];
export type Order = Schemas["OrderOut"];
export type Ticket = Schemas["TicketOut"];
export type Garment = Schemas["GarmentOut"];
export type Cloth = Schemas["ClothOut"];
export type Station = Schemas["PassedIn"]["station"];

const path = (id: string) => ({ params: { path: { id } } });

/** The orders that wait; with `find` all that have those letters. */
export const useBench = (find = "") =>
  useQuery({
    queryKey: ["bench", find],
    queryFn: () => answered(server.GET("/api/orders", { params: { query: { find } } })),
    placeholderData: keepPreviousData,
  });

/** What is done with an order as a whole: a state given or taken back, another day, the same again, a station passed. */
export function useLife(id: string) {
  const memory = useQueryClient();
  const done = (order: Order) => {
    memory.setQueryData(["order", order.id], order);
    void memory.invalidateQueries({ queryKey: ["bench"] });
  };
  const step = useMutation({
    mutationFn: (state: Order["state"]) =>
      answered(server.PUT("/api/steps/{id}", { ...path(crypto.randomUUID()), body: { order: id, state } })),
    onSuccess: done,
  });
  const undo = useMutation({
    mutationFn: async () => {
      const { steps } = await answered(server.GET("/api/orders/{id}", path(id)));
      if (!steps[0]) return;
      done(await answered(server.DELETE("/api/steps/{id}", path(steps[0].id))));
    },
  });
  const move = useMutation({
    mutationFn: async ({ promised_on, reason }: { promised_on: string; reason: string }) => {
      const now = await answered(server.GET("/api/orders/{id}", path(id)));
      const { version, title } = now;
      const rows = { client: now.client.id, sheet: now.sheet.id, cloth: now.cloth.id };
      return answered(
        server.PUT("/api/orders/{id}", {
          ...path(id),
          body: { version, title, promised_on, reason, garments: [], ...rows },
        }),
      );
    },
    onSuccess: done,
  });
  const again = useMutation({
    mutationFn: (body: { promised_on: string; old: boolean }) =>
      answered(server.PUT("/api/orders/{id}/again", { ...path(crypto.randomUUID()), body: { of: id, ...body } })),
    onSuccess: done,
  });
  const pass = useMutation({
    mutationFn: (station: Station) =>
      answered(server.POST("/api/orders/{id}/passed", { ...path(id), body: { station } })),
    onSuccess: (passed) => {
      memory.setQueryData<Order>(["order", id], (was) => was && { ...was, passed });
      void memory.invalidateQueries({ queryKey: ["bench"] });
    },
  });
  return { step, undo, move, again, pass };
}

export const useOrder = (id: string) =>
  useQuery({
    queryKey: ["order", id],
    queryFn: async () => shownOrder(await answered(server.GET("/api/orders/{id}", path(id)))),
  });

/** An order as the server has it, with what is on its way there from this browser. */
async function shownOrder(order: Order): Promise<Order> {
  const shown = <One extends { id: string; version: number }>(row: One) => withAhead(scopeOf(order.id), row);
  const whole = {
    ...order,
    garments: order.garments.map(shown),
    cloth: shown(order.cloth),
    other_cloth: order.other_cloth && shown(order.other_cloth),
  };
  return (await waiting("reading")).reduce(withReading, whole);
}

type Waits = Pick<Row, "id" | "at" | "body">;

/** A reading that waits to be sent, as it is on the sheet. */
export function waitingReading({ id, at, body }: Waits, unit: Unit): Schemas["ReadingOut"] {
  const [key, typed] = [String(body["key"]), String(body["typed"])];
  let mm: number | null = null;
  try {
    mm = typed ? read(typed, unit) : null;
  } catch {
    // The server says what is wrong with it.
  }
  const [way, note] = [String(body["way"] ?? "tape"), String(body["note"] ?? "")];
  return { id, key, typed, mm, way, note, taken_at: new Date(at).toISOString(), taken_by: "you" };
}

/** An order with one reading more on its sheet, where it is of that sheet. */
export function withReading(order: Order, row: Waits): Order {
  const { sheet } = order;
  if ((row.body["sheet"] ?? sheet.id) !== sheet.id) return order;
  const made = waitingReading(row, sheet.unit as Unit);
  const others = (all: Schemas["ReadingOut"][]) => all.filter((one) => one.key !== made.key);
  const [readings, skipped] = [others(sheet.readings), others(sheet.skipped)];
  (made.typed ? readings : skipped).push(made);
  return { ...order, sheet: { ...sheet, readings, skipped } };
}

/** A cloth of which nothing is said yet. */
export const PLAIN = {
  kind: "cotton",
  length: "",
  fold: "auto",
  one_way: false,
  shrink_percent: "",
  stretch_percent: "",
  thickness: "usual",
  pleated: false,
  selvedge: "",
  trim: "",
  spare: "",
  repeat: "",
  unit_of_sale: "",
  price: "",
};

/** Writing one row of an order, on the newest version this browser knows. */
export function useOrderRow<Row extends { id: string; version?: number }>(
  order: string,
  pick: (order: Order) => Row,
  place: (order: Order, row: Row) => Order,
  send: (row: Row) => Promise<Row>,
) {
  const memory = useQueryClient();
  const known = () => pick(memory.getQueryData<Order>(["order", order])!);
  const show = (row: Row) => {
    memory.setQueryData<Order>(["order", order], (was) => was && place(was, row));
  };
  const remember = (row: Row) => {
    show(row);
    void planAnew(memory, order);
    void memory.invalidateQueries({ queryKey: ["bench"] });
  };
  const sent = async (row: Row) => {
    try {
      return await send(row);
    } catch (error) {
      void planAnew(memory, order); // those before it left the asking to this one
      throw error;
    }
  };
  return useRowWrite({ scope: scopeOf(order), known, remember, show }, sent);
}

/** The same where a change can be taken back. */
function useUndoneRow<Row extends { id: string; version?: number }>(...of: Parameters<typeof useOrderRow<Row>>) {
  const [order, pick] = of;
  const memory = useQueryClient();
  const row = useOrderRow<Row>(...of);
  const undone = (write: typeof row.keep) => async (change: (row: Row) => Row) => {
    const before = pick(memory.getQueryData<Order>(["order", order])!);
    let after = change(before);
    const as = (wanted: Row) => row.press((now) => ({ ...wanted, version: now.version }));
    const step = { undo: () => as(before), redo: () => as(after) };
    // What is shown at once can be taken back at once: that is sent after it.
    changedBy(order, step);
    const done = await write(change).catch((error: unknown) => {
      forget(order, step);
      throw error;
    });
    if (done) after = done;
    else forget(order, step);
    return done;
  };
  return { ...row, keep: undone(row.keep), press: undone(row.press) };
}

export function usePutGarment(order: string, garment: string) {
  const memory = useQueryClient();
  return useUndoneRow<Garment>(
    order,
    (whole) => whole.garments.find((one) => one.id === garment) ?? whole.garments[0]!,
    (whole, row) => ({ ...whole, garments: whole.garments.map((one) => (one.id === row.id ? row : one)) }),
    async ({ id, ...body }) => {
      const done = await answered(server.PUT("/api/garments/{id}", { ...path(id), body }));
      // The other cloth comes to an order with the first piece that is cut from it, and goes with the last.
      const had = memory.getQueryData<Order>(["order", order])?.other_cloth != null;
      if (done.from_another_cloth !== had) void memory.invalidateQueries({ queryKey: ["order", order] });
      return done;
    },
  );
}

/** Garments added to an order or taken off it, all of it or nothing. */
export function useOutfit(order: string) {
  const memory = useQueryClient();
  return useMutation({
    scope: { id: scopeOf(order) },
    mutationFn: (garments: Garment[]) =>
      answered(server.PUT("/api/orders/{id}/outfit", { ...path(order), body: { garments } })),
    onSuccess: async (done) => {
      const shown = await shownOrder(done);
      // One that is being read was asked for before this was written.
      await memory.cancelQueries({ queryKey: ["order", order] });
      memory.setQueryData(["order", order], shown);
    },
    onError: () => memory.invalidateQueries({ queryKey: ["order", order] }),
    onSettled: () => {
      void planAnew(memory, order);
      void memory.invalidateQueries({ queryKey: ["bench"] });
    },
  });
}

type Choices = Record<string, unknown>;

/** Some choices more, of several garments at once, each by its name; taken back as one change. */
export function useTakeChoices(order: string) {
  const memory = useQueryClient();
  const known = (id: string) =>
    memory.getQueryData<Order>(["order", order])!.garments.find((garment) => garment.id === id)!;
  const put = async (rows: Garment[]) => {
    for (const { id, ...body } of rows) {
      const { version } = known(id);
      const done = await answered(server.PUT("/api/garments/{id}", { ...path(id), body: { ...body, version } }));
      memory.setQueryData<Order>(
        ["order", order],
        (was) => was && { ...was, garments: was.garments.map((one) => (one.id === id ? done : one)) },
      );
    }
    void memory.invalidateQueries({ queryKey: ["order", order] });
    void planAnew(memory, order);
  };
  return useMutation({
    scope: { id: scopeOf(order) },
    mutationFn: async (choices: Record<string, Choices>) => {
      const before = memory
        .getQueryData<Order>(["order", order])!
        .garments.filter((garment) => choices[garment.name] !== undefined);
      const after = before.map((garment) => withChoices(garment, choices[garment.name]!));
      await put(after);
      changedBy(order, { undo: () => put(before), redo: () => put(after) });
    },
  });
}

/** A garment with some choices more; of one of two halves they are given by its halves. */
function withChoices(garment: Garment, more: Choices): Garment {
  const own = garment.choices as Choices;
  const halves = Object.keys(more).every((key) => typeof (own[key] as Choices | undefined)?.["style"] === "string");
  if (!halves) return { ...garment, choices: { ...own, ...more } };
  const changed = Object.entries(more).map(([half, some]) => {
    const was = own[half] as Choices;
    return [half, { ...was, choices: { ...(was["choices"] as Choices), ...(some as Choices) } }];
  });
  return { ...garment, choices: { ...own, ...Object.fromEntries(changed) } };
}

export const usePutCloth = (order: string, cloth: string) =>
  useUndoneRow<Cloth>(
    order,
    (whole) => (whole.other_cloth?.id === cloth ? whole.other_cloth : whole.cloth),
    (whole, row) => (whole.other_cloth?.id === row.id ? { ...whole, other_cloth: row } : { ...whole, cloth: row }),
    ({ id, ...body }) => answered(server.PUT("/api/cloths/{id}", { ...path(id), body })),
  );
