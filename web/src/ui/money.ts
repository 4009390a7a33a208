/** A price with its currency, as the server says it: `€35.00`, `35.00 SEK`; without one, the number alone. */
export function withCurrency(amount: string, currency: string): string {
  if (!currency) return amount;
  const parts = new Intl.NumberFormat("en", { style: "currency", currency }).formatToParts(0);
  const sign = parts.find((part) => part.type === "currency")?.value ?? currency;
  return /[A-Za-z]$/.test(sign) ? `${amount} ${sign}` : `${sign}${amount}`;
}
