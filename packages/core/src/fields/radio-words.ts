/**
 * What bands, rates and modes of radio units are usually called: offered, and others may be typed.
 * Bands for licence-free telemetry by region. [common practice] [from memory]
 */
export const RADIO_WORDS: Readonly<Record<string, readonly string[]>> = {
  band: ['433', '868', '869', '915', '2400'],
  rate: ['9.6k', '19.2k', '38.4k', '115.2k'],
  mode: ['fixed', 'hop'],
};
