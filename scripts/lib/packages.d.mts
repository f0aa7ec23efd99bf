/** Builds the server when anything it is made of has changed; gives the file that starts it. */
export function needServer(): Promise<string>;
