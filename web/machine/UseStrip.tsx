import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { weeklyUseQuery } from '../api/queries';
import type { paths } from '../api/schema';
import { QuietButton } from '../kit/Button';
import { count, longDay } from '../kit/format';
import { Line, Margin, Ruled, Soft } from '../kit/Sheet';
import { useWidth } from '../kit/useWidth';

type Use = paths['/machines/{machine}/use']['get']['responses']['200']['content']['application/json'];

const HEIGHT = 84;
const GROUND = 64;

const Frame = styled.div`height: ${HEIGHT}px; min-width: 0; svg { width: 100%; height: 100%; overflow: visible; }`;
const Table = styled.div`
  max-height: 300px; overflow: auto; font-size: 15px; margin-top: 8px; border-top: 1px solid var(--rule);
  table { border-collapse: collapse; width: 100%; }
  th, td { text-align: left; padding: 3px 12px 3px 0; border-bottom: 1px solid var(--rule); font-weight: 400; }
  thead th { font-weight: 650; }
  td { text-align: right; width: 120px; }
`;

/** Use per week over three years, drawn as a strip, with the table behind it. */
export function UseStrip({ machine, name }: { machine: number; name: string }) {
  const use = useQuery(weeklyUseQuery(machine));
  const [table, showTable] = useState(false);
  if (!use.data) return null;
  const { weeks, unit, why } = use.data;
  const known = weeks.filter((week) => week.use !== null);
  return (
    <Ruled>
      <Line>
        <Soft>Use per week, three years</Soft>
        <Strip use={use.data} name={name} />
        {table && (
          <Table tabIndex={0} role="region" aria-label="Use per week as a table">
            <table>
              <thead>
                <tr>
                  <th scope="col">Week of</th>
                  <th scope="col">{unit}</th>
                </tr>
              </thead>
              <tbody>
                {[...known].reverse().map((week) => (
                  <tr key={week.from}>
                    <th scope="row">{longDay(week.from)}</th>
                    <td>{count(week.use ?? 0)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Table>
        )}
      </Line>
      <Margin>
        <p>{why}</p>
        {known.length > 0 && (
          <QuietButton onPress={() => showTable(!table)}>
            {table ? 'Put the table away' : 'Show it as a table'}
          </QuietButton>
        )}
      </Margin>
    </Ruled>
  );
}

function Strip({ use, name }: { use: Use; name: string }) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const { weeks, unit } = use;
  const most = Math.max(1, ...weeks.map((week) => week.use ?? 0));
  const step = width / weeks.length;
  const toY = (amount: number) => GROUND - (amount / most) * (GROUND - 14);
  const years = weeks
    .map((week, index) => ({ year: week.from.slice(0, 4), x: index * step }))
    .filter(({ year }, index, all) => index > 0 && all[index - 1]?.year !== year);
  return (
    <Frame ref={frame}>
      {width > 0 && (
        <svg role="img" aria-label={`${name}, ${unit} run in each week of three years; the most was ${count(most)}.`}>
          {weeks.map((week, index) =>
            week.use === null ? null : (
              <rect
                key={week.from}
                x={index * step + step * 0.12}
                y={toY(week.use)}
                width={Math.max(1, step * 0.76)}
                height={GROUND - toY(week.use)}
                fill="var(--hedge)"
                opacity="0.85"
              />
            ),
          )}
          <line x1="0" x2={width} y1={GROUND} y2={GROUND} stroke="var(--ink)" strokeWidth="1.2" />
          {years.map(({ year, x }) => (
            <g key={year}>
              <line x1={x} x2={x} y1="8" y2={GROUND + 6} stroke="var(--line)" strokeWidth="0.8" strokeDasharray="2 3" />
              <text x={x + 4} y={GROUND + 17} fontSize="13" fill="var(--soft)">
                {year}
              </text>
            </g>
          ))}
          <line x1="0" x2="6" y1={toY(most)} y2={toY(most)} stroke="var(--ink)" />
          <text
            x="9"
            y={toY(most) + 4}
            fontSize="13"
            fill="var(--soft)"
            stroke="var(--sheet)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            {count(Math.round(most * 10) / 10)} {unit}
          </text>
        </svg>
      )}
    </Frame>
  );
}
