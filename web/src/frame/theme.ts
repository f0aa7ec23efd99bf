import { useEffect, useState } from 'react';

/** Light by day, dark in the evening; what was chosen is kept. */
export function useTheme(): [dark: boolean, flip: () => void] {
  const [dark, setDark] = useState(
    () =>
      (localStorage.getItem('theme') ??
        (matchMedia('(prefers-color-scheme: dark)').matches ? 'kuro' : 'ash')) === 'kuro',
  );
  useEffect(() => {
    // paper is white in the evening too
    const printing = matchMedia('print');
    const put = () => {
      document.documentElement.dataset.theme = dark && !printing.matches ? 'kuro' : 'ash';
    };
    put();
    printing.addEventListener('change', put);
    return () => printing.removeEventListener('change', put);
  }, [dark]);
  const flip = () => {
    localStorage.setItem('theme', dark ? 'ash' : 'kuro');
    setDark(!dark);
  };
  return [dark, flip];
}
