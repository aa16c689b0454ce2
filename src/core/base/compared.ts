/** Words as a search compares them: small letters, without accents. */
export const compared = (text: string): string => text.normalize("NFKD").replace(/\p{M}/gu, "").toLowerCase();
