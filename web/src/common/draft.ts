import { useEffect } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';

const store = window.sessionStorage;

/** What was typed into a form and not yet saved, by the form's key; survives a reload. */
export function readDraft<T>(key: string): Partial<T> {
  try {
    return JSON.parse(store.getItem(`draft ${key}`) ?? '{}') as Partial<T>;
  } catch {
    return {};
  }
}
export const dropDraft = (key: string): void => store.removeItem(`draft ${key}`);

/** Keeps a form's values as they are typed. */
export function useDraft<T extends FieldValues>(key: string, form: UseFormReturn<T>): void {
  const { watch } = form;
  useEffect(() => {
    const { unsubscribe } = watch((values) => store.setItem(`draft ${key}`, JSON.stringify(values)));
    return unsubscribe;
  }, [key, watch]);
}
