import type { Schemas } from '../api/client';
import { Field, Fields } from '../kit/Field';
import { Fold } from '../kit/Fold';

type Wrench = Schemas['Wrench'];
const NONE: Wrench = { name: '', least: '', most: '', adapter: null };
const MOST = 6;
const NO_ADAPTER = { wrench_length: '', extension: '', angle: 0 };

type Props = { wrenches: Wrench[]; onChange: (wrenches: Wrench[]) => void; fields: Record<string, string> };

/** The torque wrenches of the yard, each with its range; one with a crow-foot or an extension is one more. */
export function WrenchFields({ wrenches, onChange, fields }: Props) {
  const change = (at: number, part: Partial<Wrench>) =>
    onChange(
      [...wrenches, NONE]
        .map((one, index) => (index === at ? { ...one, ...part } : one))
        .filter(({ name, least, most }) => name || least || most),
    );
  const adapt = (at: number, wrench: Wrench, part: Partial<typeof NO_ADAPTER>) => {
    const adapter = { ...NO_ADAPTER, ...wrench.adapter, ...part };
    change(at, { adapter: adapter.wrench_length || adapter.extension ? adapter : null });
  };
  return (
    <Fold label="Torque wrenches" open={wrenches.length > 0}>
      {[...wrenches, NONE].slice(0, MOST).map((wrench, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: wrenches keep their places while they are typed
        <div key={at} style={{ display: 'grid', gap: 10 }}>
          <Fields $columns={3}>
            <Field
              label={at === 0 ? 'Wrench' : 'Another wrench'}
              value={wrench.name}
              onChange={(name) => change(at, { name })}
              error={fields[`wrenches.${at}.name`]}
            />
            <Field
              label="Sets from"
              value={wrench.least}
              onChange={(least) => change(at, { least })}
              error={fields[`wrenches.${at}.least`]}
              placeholder="5 N·m"
            />
            <Field
              label="to"
              value={wrench.most}
              onChange={(most) => change(at, { most })}
              error={fields[`wrenches.${at}.most`]}
              placeholder="60 N·m"
            />
          </Fields>
          {wrench.name && (
            <Fields $columns={3}>
              <Field
                label="With an adapter: arm of the wrench"
                value={wrench.adapter?.wrench_length ?? ''}
                onChange={(wrench_length) => adapt(at, wrench, { wrench_length })}
                error={fields[`wrenches.${at}.adapter.wrench_length`]}
                placeholder="300 mm"
              />
              <Field
                label="Adapter's length"
                value={wrench.adapter?.extension ?? ''}
                onChange={(extension) => adapt(at, wrench, { extension })}
                error={fields[`wrenches.${at}.adapter.extension`]}
                placeholder="50 mm"
              />
              <Field
                label="Its angle, degrees"
                value={String(wrench.adapter?.angle ?? '')}
                onChange={(angle) => adapt(at, wrench, { angle: Number(angle) || 0 })}
                error={fields[`wrenches.${at}.adapter.angle`]}
                inputMode="numeric"
                placeholder="90"
              />
            </Fields>
          )}
        </div>
      ))}
    </Fold>
  );
}
