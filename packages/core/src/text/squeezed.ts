/** A typed text without blanks around it, and one blank where there were several: so no pattern has to try how many. */
export const squeezed = (text: string): string => text.trim().replace(/\s+/g, ' ');
