/** Header of every answer to who is signed in: how far the nursery's own library has come. */
export const OWN_LIBRARY = 'x-own-library';
