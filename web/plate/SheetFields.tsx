import type { Schemas } from '../api/client';
import { PART_KINDS } from '../fluids/words';
import { QuietActions, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field, Fields } from '../kit/Field';
import { Fold } from '../kit/Fold';
import { Tick } from '../kit/Tick';
import type { SheetDraft } from './sheetDraft';

type Props = {
  draft: SheetDraft;
  onChange: (part: Partial<SheetDraft>) => void;
  fields: Record<string, string>;
};

type Words = Exclude<
  keyof SheetDraft,
  'magnet' | 'side' | 'closure' | 'also' | 'under' | 'part' | 'equivalents' | 'hangs'
>;

const SIDES = [
  { value: '', label: 'not said' },
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const;

const CLOSURES = [
  { value: '', label: 'not said' },
  { value: 'thread', label: 'with a wrench' },
  { value: 'cap', label: 'by hand: a cap, or a stick that is lifted' },
  { value: 'tap', label: 'by its handle: a tap' },
] as const;

const ALSO = [
  { role: 'fill', label: 'It is the filler too' },
  { role: 'level', label: 'It is the level plug too' },
  { role: 'drain', label: 'It is the drain too' },
] as const;

const HANGS = [
  { value: '', label: 'not said' },
  { value: 'upright', label: 'upright' },
  { value: 'sideways', label: 'on its side' },
  { value: 'inverted', label: 'upside down' },
] as const;

/** How an opening is opened and shut. */
export function OpeningFields({ draft, onChange, fields, role }: Props & { role?: Schemas['OpeningRole'] | null }) {
  const text = texts(draft, onChange, fields);
  return (
    <Fold label="Tool, torque, seal" open={draft.tool !== '' || draft.seal !== ''}>
      <Fields $columns={2}>
        {text('tool', 'Tool, with its size', '8 mm hex key')}
        {text('torque', 'Torque', '22 ft-lb')}
      </Fields>
      <Fields $columns={2}>
        {text('seal', 'Washer or ring, its number')}
        {text('sealant', 'Sealant or tape on its thread')}
      </Fields>
      <Fields $columns={2}>
        <Choice label="Side" value={draft.side} onChange={(side) => onChange({ side })} options={SIDES} />
        {text('comes_off', 'What comes off first')}
      </Fields>
      <Fields $columns={2}>
        <Choice
          label="It is shut"
          value={draft.closure}
          onChange={(closure) => onChange({ closure })}
          options={CLOSURES}
        />
        {text('loose', 'Loose pieces to count', 'spring, plate')}
      </Fields>
      {ALSO.filter((one) => one.role !== role).map((one) => (
        <Tick
          key={one.role}
          checked={draft.also.includes(one.role)}
          onChange={(on) =>
            onChange({ also: on ? [...draft.also, one.role] : draft.also.filter((also) => also !== one.role) })
          }
        >
          {one.label}
        </Tick>
      ))}
      <Tick checked={draft.magnet} onChange={(magnet) => onChange({ magnet })}>
        It has a magnet
      </Tick>
    </Fold>
  );
}

/** What belongs at the place of a part. */
export function PartFields({ draft, onChange, fields }: Props) {
  const text = texts(draft, onChange, fields);
  const change = (at: number, part: Partial<SheetDraft['equivalents'][number]>) =>
    onChange({ equivalents: draft.equivalents.map((one, index) => (index === at ? { ...one, ...part } : one)) });
  return (
    <Fold label="Number, seal, what else fits" open={draft.number !== ''}>
      <Fields $columns={2}>
        <Choice label="It is a" value={draft.part} onChange={(part) => onChange({ part })} options={PART_KINDS} />
        {text('number', "The maker's number")}
      </Fields>
      <Fields $columns={2}>
        {text('superseded_by', 'Now sold as')}
        {text('seal', 'What seals it, its number')}
      </Fields>
      <Fields $columns={2}>
        {text('tight', 'How tight')}
        {text('orientation', 'Which way round')}
      </Fields>
      <Fields $columns={2}>
        {text('loose', 'Loose pieces to count', 'spring, plate')}
        {text('uses', 'The work uses up', 'cleaner, rag')}
      </Fields>
      <Fields $columns={2}>
        {text('kit', 'It comes in the kit')}
        {text('kit_holds', 'which holds', '2 x ring, gasket')}
      </Fields>
      <Fields $columns={2}>
        <Choice label="It hangs" value={draft.hangs} onChange={(hangs) => onChange({ hangs })} options={HANGS} />
        {text('drinks', 'A new one drinks', '0.2 L')}
      </Fields>
      {text('only_for', 'Only for (serial number, gearbox, fuel system)')}
      {draft.equivalents.map((one, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows are only added at the end
        <Fields key={at} $columns={2}>
          <div>
            <Field
              label="Another that fits"
              value={one.number}
              onChange={(number) => change(at, { number })}
              error={fields[`sheet.equivalents.${at}.number`]}
            />
            <Tick checked={one.will_do} onChange={(will_do) => change(at, { will_do })}>
              and will do
            </Tick>
          </div>
          {!one.will_do && (
            <Field
              label="Why it will not do"
              value={one.because}
              onChange={(because) => change(at, { because })}
              error={fields[`sheet.equivalents.${at}.because`]}
            />
          )}
        </Fields>
      ))}
      <QuietActions>
        <QuietButton
          onPress={() => onChange({ equivalents: [...draft.equivalents, { number: '', will_do: true, because: '' }] })}
        >
          Another that fits
        </QuietButton>
      </QuietActions>
    </Fold>
  );
}

const texts =
  (draft: SheetDraft, onChange: Props['onChange'], fields: Props['fields']) =>
  (name: Words, label: string, placeholder?: string) => (
    <Field
      label={label}
      value={draft[name]}
      onChange={(value) => onChange({ [name]: value })}
      error={fields[`sheet.${name}`]}
      placeholder={placeholder}
    />
  );
