import { useEffect } from 'react';

/** On paper there is nothing to press, and a list is as long as it is. */
const CSS = `@media print {
  [role="navigation"], [role="status"], [role="button"], [role="radiogroup"], [role="group"] { display: none !important; }
  html, body, #root, #root div:not([role="checkbox"], [role="img"], [role="img"] *) {
    height: auto !important; max-height: none !important; overflow: visible !important; position: static !important;
  }
  [role="main"] div:has(> [role="checkbox"]), [role="img"] { break-inside: avoid; }
  body { background: #fff !important; }
}`;

/** Lets the page be printed whole while a screen that is meant for paper is shown. */
export function usePrintStyle(): void {
  useEffect(() => {
    const style = document.createElement('style');
    style.textContent = CSS;
    document.head.append(style);
    return () => style.remove();
  }, []);
}
