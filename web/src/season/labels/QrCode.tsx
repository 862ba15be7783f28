import { create } from 'qrcode';
import { useMemo } from 'react';

/** Where a bed's quick log is opened: the log line begins with the bed, and only the rest has to be written. */
export const quickLogAddress = (origin: string, bed: string): string =>
  `${origin}/log?${new URLSearchParams({ line: `${bed}: ` })}`;

/** Quiet modules around a code, as ISO/IEC 18004 asks for. */
const QUIET = 4;

/** A text as a QR code, black on white in every set of colours. */
export function QrCode({ text, millimetres }: { text: string; millimetres: number }) {
  const { path, size } = useMemo(() => {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    let drawn = '';
    for (let row = 0; row < modules.size; row++) {
      for (let column = 0; column < modules.size; column++) {
        if (modules.get(row, column)) drawn += `M${column + QUIET} ${row + QUIET}h1v1h-1z`;
      }
    }
    return { path: drawn, size: modules.size + 2 * QUIET };
  }, [text]);
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      className="shrink-0"
      style={{ width: `${millimetres}mm`, height: `${millimetres}mm` }}
      role="img"
      aria-label={text}
      shapeRendering="crispEdges"
    >
      <rect width={size} height={size} fill="white" />
      <path d={path} fill="black" />
    </svg>
  );
}
