import styled from 'styled-components';

const Drawn = styled.svg`display: block; height: 30px; max-width: 100%;`;

const STROKE = 8;
const GATE = 44;
const MOST = 25;

/** Pieces as they are counted on a board: four strokes and one across. */
export function Tally({ pieces }: { pieces: number }) {
  const shown = Math.min(pieces, MOST);
  const strokes = Array.from({ length: shown }, (_, index) => index);
  const width = Math.max(12, Math.ceil(shown / 5) * GATE);
  return (
    <Drawn viewBox={`0 0 ${width} 30`} width={width} aria-hidden="true" stroke="var(--ink)" strokeWidth="2.2">
      {strokes.map((index) => {
        const from = Math.floor(index / 5) * GATE + 4;
        const at = from + (index % 5) * STROKE;
        return index % 5 === 4 ? (
          <path key={index} d={`M${from - 3} 24L${from + 29} 6`} />
        ) : (
          <path key={index} d={`M${at} 4V26`} />
        );
      })}
    </Drawn>
  );
}
