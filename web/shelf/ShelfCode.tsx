import { renderSVG } from 'uqr';

/** Where a label leads that is looked at with a phone's own camera; here it is read as the code at its end. */
export const codeAddress = (code: string): string => `${location.origin}/shelf/code/${code}`;

export function ShelfCode({ code, name }: { code: string; name: string }) {
  return (
    <img
      alt={`Code for ${name}: ${code}`}
      src={`data:image/svg+xml,${encodeURIComponent(renderSVG(codeAddress(code), { border: 1 }))}`}
    />
  );
}
