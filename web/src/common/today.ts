import { createContext, use } from 'react';

/** The day it is at the nursery, for parts that ask for days; '' before it is known. */
export const Today = createContext('');
export const useToday = (): string => use(Today);
