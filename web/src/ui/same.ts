/** Whether two questions are the same: an answer to another one is not shown. */
export const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);
