/** The device's calendar day at a moment, `YYYY-MM-DD`. */
export function localDay(at: Date): string {
  const local = new Date(at.getTime() - at.getTimezoneOffset() * 60_000);
  return local.toISOString().slice(0, 10);
}
