import type { Schemas } from '../api/client';
import { within } from '../kit/format';
import { Soft } from '../kit/Sheet';

/** What one job takes: fluids, parts and seals, tools, what it uses up. */
export function Takes({ of }: { of: Schemas['TaskTakes'] }) {
  const fluids = of.fluids.map(({ name, amount }) => `${within(name)} ${amount ?? '(how much is not written down)'}`);
  const parts = of.parts.map(({ name, count, for: where, again }) => {
    const besides = [count === 1 ? within(where) : '', again].filter(Boolean).join('; ');
    return `${count === 1 ? '' : `${count} × `}${name}${besides ? ` (${besides})` : ''}`;
  });
  const tools = of.tools.map(({ tool }) => tool);
  return (
    <>
      <strong>{of.task}</strong>
      {fluids.length > 0 && `: ${fluids.join(', ')}`}
      {parts.length > 0 && <Soft> · {parts.join(', ')}</Soft>}
      {tools.length > 0 && <Soft> · tools: {tools.join(', ')}</Soft>}
      {of.uses.length > 0 && <Soft> · uses up: {of.uses.join(', ')}</Soft>}
    </>
  );
}
