import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import type { Step } from '../told';

/** Into so many parts the band between the marks is read. */
const PARTS = 20;
/** What a thumb can hit: a quarter of the band. */
const PRESSED = [0, 5, 10, 15, 20] as const;
const WORDS: Record<number, string> = { 0: 'add', 5: '1/4', 10: '1/2', 15: '3/4', 20: 'full' };

const Rail = styled(RadioGroup)`
  display: grid; gap: 6px; > span { font-size: 15px; }
  > div { display: grid; grid-auto-flow: column; grid-auto-columns: minmax(0, 1fr); border: 2px solid var(--ink); border-radius: 3px; background: var(--sheet); }
  label { min-height: 60px; display: grid; place-items: center; cursor: pointer; font-size: 17px; border-right: 1px solid var(--rule); }
  label:last-child { border-right: 0; }
  label[data-selected] { background: var(--pour); box-shadow: inset 0 -6px 0 var(--straw); font-weight: 700; }
  label[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: -3px; }
`;
const Fine = styled.div`
  display: grid; grid-template-columns: 64px minmax(0, 1fr) 64px; align-items: center; text-align: center; border: 1px solid var(--rule); background: var(--sheet);
  button { min-height: 52px; border: 0; background: none; font-size: 26px; cursor: pointer; }
`;

type Props = { asks: NonNullable<Step['asks']>; level: number | null; onPick: (level: number) => void };

/** Where a fluid stands: by quarters of the band with the thumb, by twentieths with plus and minus. */
export function StickPicker({ asks, level, onPick }: Props) {
  const rows = asks.rows ?? [];
  const isScale = rows.length > 2;
  const pressed = isScale ? rows.filter((row) => (PRESSED as readonly number[]).includes(row.level)) : rows;
  const at = rows.findIndex((row) => row.level === level);
  const step = (by: 1 | -1) => {
    const next = rows[at < 0 ? rows.findIndex((row) => row.level === PARTS) : at + by];
    if (next) onPick(next.level);
  };
  return (
    <>
      <Rail
        aria-label="Where it stands"
        value={level === null ? null : `${level}`}
        onChange={(value) => onPick(Number(value))}
      >
        <span>Where does it stand?</span>
        <div>
          {pressed.map((row) => (
            <Radio key={row.level} value={`${row.level}`}>
              {isScale ? WORDS[row.level] : row.label}
            </Radio>
          ))}
        </div>
      </Rail>
      {isScale && (
        <Fine>
          <button type="button" aria-label="A little lower" onClick={() => step(-1)}>
            −
          </button>
          <span>{level === null ? 'or a little lower, a little higher' : `${level}/${PARTS} of the band`}</span>
          <button type="button" aria-label="A little higher" onClick={() => step(1)}>
            +
          </button>
        </Fine>
      )}
    </>
  );
}
