import { useMemo, useRef } from 'react';
import { ListBox, ListBoxItem } from 'react-aria-components';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { useWidth } from '../kit/useWidth';
import { Drawing } from './Drawing';
import { labelled } from './labelled';
import { SpotFills, type SpotLook, SpotShape } from './SpotShape';
import { unstacked } from './unstacked';

const Frame = styled.figure`
  position: relative; width: 100%; aspect-ratio: 200 / 116; background: var(--sheet);
  > svg { position: absolute; inset: 0; width: 100%; height: 100%; }
  > svg * { vector-effect: non-scaling-stroke; }
`;
const Marks = styled(ListBox)`position: absolute; inset: 0; outline: none;`;
const Pressed = styled(ListBoxItem)`
  position: absolute; transform: translate(-50%, -50%); display: grid; place-items: center; cursor: pointer;
  outline: none; line-height: 1;
  &[data-hovered] { z-index: 3; }
  &[data-focus-visible] { outline: 3px solid var(--slate); outline-offset: 0; border-radius: 4px; z-index: 3; }
  &[data-selected] { z-index: 2; filter: drop-shadow(0 0 0 var(--hedge)); }
  b { position: absolute; font-size: 14px; font-weight: 700; color: var(--ink); }
  &[data-look='done'] b { color: var(--paper); }
  &[data-look='full'] b, &[data-look='down'] b { color: var(--sheet); }
`;
const Name = styled.span`
  position: absolute; white-space: nowrap; font-size: 13.5px; line-height: 18px; font-weight: 600; padding: 0 2px;
  pointer-events: none; text-shadow: 0 0 3px var(--sheet), 0 0 3px var(--sheet), 0 0 5px var(--sheet);
`;
/** The name of a mark that is pointed at or walked to. */
const Hint = styled.span`
  display: none; position: absolute; left: 50%; transform: translateX(-50%); top: calc(100% - 3px); z-index: 4;
  white-space: nowrap; font-size: 13.5px; font-weight: 600; background: var(--sheet); border: 1px solid var(--ink);
  border-radius: 3px; padding: 1px 6px; pointer-events: none;
  &[data-above='true'] { top: auto; bottom: calc(100% - 3px); }
  [data-hovered] > &, [data-focus-visible] > & { display: block; }
`;
const Nose = styled.figcaption`
  position: absolute; left: 0; bottom: 0; font-size: 13px; color: var(--soft); padding: 2px 7px;
`;

export type PlateMark = {
  key: string;
  name: string;
  kind: Schemas['SpotKind'];
  /** In hundredths of the plate. */
  x: number;
  y: number;
  look: SpotLook;
  /** What is told of it, for those who hear it. */
  words: string;
  /** Its place in a round. */
  number?: number;
  dashed?: boolean;
  /** Whether its name stands beside it unasked. */
  named?: boolean;
};

type Props = {
  of: Schemas['MachineClass'];
  label: string;
  marks: PlateMark[];
  chosen: string | null;
  onChoose: (key: string) => void;
};

/** On a narrow plate a thumb finds a mark, on a wide one a mouse does. */
const NARROW = 520;

/** A machine from above with its spots. Arrow keys walk them in walking order, Enter opens one; the list beside it is the same for those who prefer lists. */
export function Plate({ of, label, marks, chosen, onChoose }: Props) {
  const frame = useRef<HTMLElement>(null);
  const width = useWidth(frame);
  const height = (width * 116) / 200;
  const narrow = width < NARROW;
  const size = narrow ? 44 : 34;
  const places = useMemo(
    () =>
      unstacked(
        marks.map(({ x, y }) => ({ x: (x / 100) * width, y: (y / 100) * height })),
        size,
        width,
        height,
      ),
    [marks, width, height, size],
  );
  const names = labelled(
    places,
    marks.flatMap(({ key, name, named }, index) => (named || key === chosen ? [{ index, name }] : [])),
    narrow ? 32 : 26,
    width,
    height,
  );
  const at = places[marks.findIndex(({ key }) => key === chosen)];
  return (
    <Frame ref={frame}>
      <Drawing of={of} />
      <SpotFills />
      {width > 0 && at && !narrow && (
        <svg aria-hidden="true" fill="none">
          <path
            d={`M${at.x} ${at.y} C${at.x + 60} ${height * 0.92}, ${width * 0.7} ${height * 0.96}, ${width} ${height * 0.95}`}
            stroke="var(--slate)"
            strokeWidth="2"
            strokeDasharray="6 4"
          />
        </svg>
      )}
      {width > 0 && (
        <Marks
          aria-label={label}
          orientation="horizontal"
          selectionMode="single"
          selectedKeys={chosen ? [chosen] : []}
          onSelectionChange={(keys) => {
            const [key] = [...(keys as Set<string>)];
            onChoose(key ?? (chosen as string));
          }}
        >
          {marks.map((mark, index) => (
            <Pressed
              key={mark.key}
              id={mark.key}
              textValue={mark.name}
              aria-label={[mark.number, `${mark.name}: ${mark.words}`].filter(Boolean).join(', ')}
              data-look={mark.look}
              data-kind={mark.kind}
              style={{ left: places[index]?.x, top: places[index]?.y, width: size, height: size }}
            >
              <SpotShape
                kind={mark.kind}
                look={mark.look}
                size={mark.key === chosen ? size : narrow ? 32 : 26}
                heavy={mark.key === chosen}
                dashed={mark.dashed}
              />
              {mark.number !== undefined && <b>{mark.number}</b>}
              <Hint data-above={(places[index]?.y ?? 0) > height - size} aria-hidden="true">
                {mark.name}
              </Hint>
            </Pressed>
          ))}
        </Marks>
      )}
      {width > 0 &&
        names.map(({ index, name, left, top }) => (
          <Name key={index} style={{ left, top }} aria-hidden="true">
            {name}
          </Name>
        ))}
      <Nose>front</Nose>
    </Frame>
  );
}
