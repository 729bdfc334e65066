/** The longest name or text that Dialoga itself takes, in characters; a station's own limit is its profile's affair. */
export const LONGEST_NAME = 500;
export const LONGEST_TEXT = 4000;
/** The longest text of a route that is kept: one that somebody pasted by mistake is kept too, and judged. */
export const LONGEST_ROUTE = 20_000;
/** The longest text that is kept as it was typed because it could not be read. */
export const LONGEST_TYPED = 2000;
