/** The source of a figure that nobody measured: it stands for a common one, and is to be corrected. */
export const ASSUMED = 'assumed for the example';
