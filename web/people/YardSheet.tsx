import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { computerMorningQuery, yardQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Dialog } from '../kit/Dialog';
import { Field, Fields } from '../kit/Field';
import { instant } from '../kit/format';
import { Line, Margin, Ruled, Sheet, Soft } from '../kit/Sheet';
import { useTell } from '../kit/Undo';
import { Refusal } from '../trade/Refusal';
import { WrenchFields } from './WrenchFields';

type Settings = Pick<
  Schemas['YardRecord'],
  | 'name'
  | 'time_zone'
  | 'distance_unit'
  | 'coldest_night'
  | 'hottest_day'
  | 'fluid_school'
  | 'grease_guns'
  | 'pans'
  | 'wrenches'
  | 'currency'
>;

const SCHOOLS: { value: Schemas['FluidSchool']; label: string }[] = [
  { value: 'makers_in_warranty', label: "the maker's own while the warranty runs, equivalents after" },
  { value: 'makers', label: "always the maker's own" },
  { value: 'equivalents', label: 'always equivalents that meet the specification' },
];

/** The yard's own name, clock and measure of distance. */
export function YardSheet() {
  const yard = useQuery(yardQuery);
  const [changing, setChanging] = useState(false);
  if (!yard.data) return null;
  return (
    <Sheet aria-label="The yard">
      <Ruled>
        <Line>
          <strong>{yard.data.name}</strong>
          <Soft>
            {yard.data.machines} machines, clock of {yard.data.time_zone}, distances in {yard.data.distance_unit}
            {yard.data.coldest_night && `, coldest night ${yard.data.coldest_night}`}
            {yard.data.hottest_day && `, hottest day ${yard.data.hottest_day}`}
          </Soft>
          <LastBackup />
        </Line>
        <Margin>
          <QuietButton onPress={() => setChanging(true)}>Change the yard</QuietButton>
        </Margin>
      </Ruled>
      {changing && <YardDialog yard={yard.data} onClose={() => setChanging(false)} />}
    </Sheet>
  );
}

/** When the last good backup was made. */
function LastBackup() {
  const morning = useQuery(computerMorningQuery);
  if (!morning.data) return null;
  const { last_backup: backup } = morning.data;
  return (
    <p>
      {backup ? `Last good backup: ${instant(backup, false)}.` : 'No backup yet.'}{' '}
      <Link to="/computer">This computer</Link>
    </p>
  );
}

function YardDialog({ yard, onClose }: { yard: Schemas['YardRecord']; onClose: () => void }) {
  const queries = useQueryClient();
  const tell = useTell();
  const before: Settings = {
    name: yard.name,
    time_zone: yard.time_zone,
    distance_unit: yard.distance_unit,
    coldest_night: yard.coldest_night,
    hottest_day: yard.hottest_day,
    fluid_school: yard.fluid_school,
    grease_guns: yard.grease_guns,
    pans: yard.pans,
    wrenches: yard.wrenches,
    currency: yard.currency,
  };
  const [draft, setDraft] = useState(before);
  const setGun = (index: number, gun: Schemas['GreaseGun']) => {
    const guns = [...draft.grease_guns];
    guns[index] = gun;
    setDraft({ ...draft, grease_guns: guns.filter(({ name, ten_strokes }) => name || ten_strokes) });
  };
  const again = () => queries.invalidateQueries({ queryKey: yardQuery.queryKey });
  const patch = (version: number, body: Settings) =>
    answer(api.PATCH('/yard', { params: { header: { 'If-Match': `"${version}"` } }, body }));
  const save = useWrite(
    (_key, given: Settings) => patch(yard.version, given),
    async (changed) => {
      onClose();
      tell('The yard is changed.', async () => {
        await patch(changed.version, before);
        await again();
      });
      await again();
    },
  );
  return (
    <Dialog title="Change the yard" isOpen onClose={onClose}>
      <Field
        label="The yard's name"
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
        error={save.fields.name}
        autoFocus
      />
      <Field
        label="Time zone"
        value={draft.time_zone}
        onChange={(time_zone) => setDraft({ ...draft, time_zone })}
        error={save.fields.time_zone}
      />
      <Choice
        label="Distances in"
        value={draft.distance_unit}
        onChange={(distance_unit) => setDraft({ ...draft, distance_unit })}
        options={[
          { value: 'km', label: 'kilometres' },
          { value: 'mi', label: 'miles' },
        ]}
      />
      <Field
        label="Coldest night here, °C unless you say otherwise"
        value={draft.coldest_night ?? ''}
        onChange={(night) => setDraft({ ...draft, coldest_night: night || null })}
        error={save.fields.coldest_night}
        help="Coolant must stand it, and oil must let an engine be cranked."
      />
      <Field
        label="Hottest day here, °C unless you say otherwise"
        value={draft.hottest_day ?? ''}
        onChange={(day) => setDraft({ ...draft, hottest_day: day || null })}
        error={save.fields.hottest_day}
      />
      <Choice
        label="Fluids and filters"
        value={draft.fluid_school}
        onChange={(fluid_school) => setDraft({ ...draft, fluid_school })}
        options={SCHOOLS}
      />
      {[...draft.grease_guns, { name: '', ten_strokes: '' }].slice(0, 3).map((gun, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: guns keep their places while they are typed
        <Fields key={index} $columns={2}>
          <Field
            label={index === 0 ? 'Grease gun' : 'Another gun'}
            value={gun.name}
            onChange={(name) => setGun(index, { ...gun, name })}
            error={save.fields[`grease_guns.${index}.name`]}
          />
          <Field
            label="Ten strokes weigh, g"
            value={gun.ten_strokes}
            onChange={(ten_strokes) => setGun(index, { ...gun, ten_strokes })}
            error={save.fields[`grease_guns.${index}.ten_strokes`]}
            inputMode="decimal"
          />
        </Fields>
      ))}
      <Fields $columns={2}>
        <Field
          label="What the catch pans hold"
          value={draft.pans.join(', ')}
          onChange={(pans) => setDraft({ ...draft, pans: pans.split(/, */) })}
          error={Object.entries(save.fields).find(([field]) => field.startsWith('pans'))?.[1]}
          placeholder="10 qt, 5 gal"
        />
        <Field
          label="Sign before prices"
          value={draft.currency}
          onChange={(currency) => setDraft({ ...draft, currency })}
          error={save.fields.currency}
        />
      </Fields>
      <WrenchFields
        wrenches={draft.wrenches}
        onChange={(wrenches) => setDraft({ ...draft, wrenches })}
        fields={save.fields}
      />
      <Refusal refused={save.refused} besides={[...Object.keys(draft), ...Object.keys(save.fields)]} />
      <Actions>
        <MainButton
          isDisabled={save.busy}
          onPress={() => save.send({ ...draft, pans: draft.pans.filter((pan) => pan.trim() !== '') })}
        >
          Change the yard
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}
