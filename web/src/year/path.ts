/** Where the server answers with so many weeks ahead. */
export const yearPath = (weeks: 26 | 52): string => `/year?weeks=${weeks}`;
