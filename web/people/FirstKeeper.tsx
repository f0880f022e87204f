import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { answer, api } from '../api/client';
import { sessionQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { MainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field } from '../kit/Field';
import { Soft } from '../kit/Sheet';
import { useDraft } from '../offline/drafts';
import { Refusal } from '../trade/Refusal';
import { Gate, GateForm } from './SignIn';

const NOTHING = {
  code: '',
  yard: '',
  name: '',
  sign_in_name: '',
  distance_unit: 'km' as 'km' | 'mi',
  time_zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
};

/** The first visit to an empty yard: it gets its name and its keeper. */
export default function FirstKeeper({ needsCode }: { needsCode: boolean }) {
  const queries = useQueryClient();
  const [draft, setDraft, clear] = useDraft('first-keeper', NOTHING);
  const [password, setPassword] = useState('');
  const make = useWrite(
    (_key, body: typeof NOTHING & { password: string }) => answer(api.POST('/first-keeper', { body })),
    (session) => {
      clear();
      queries.setQueryData(sessionQuery.queryKey, session);
    },
  );
  const change = (part: Partial<typeof NOTHING>) => setDraft((before) => ({ ...before, ...part }));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    make.send({ ...draft, password });
  };
  return (
    <Gate>
      <GateForm onSubmit={submit}>
        <h1>A new yard</h1>
        <Soft>
          Nobody has an account here yet. Name the yard and its keeper; the keeper then enters machines and people.
        </Soft>
        {needsCode && (
          <Field
            label="The code that the computer's terminal printed"
            autoComplete="off"
            autoFocus
            value={draft.code}
            onChange={(code) => change({ code })}
            error={make.fields.code}
            help="It holds for an hour. There, ./jardinier code prints another."
          />
        )}
        <Field
          label="The yard's name"
          autoFocus={!needsCode}
          value={draft.yard}
          onChange={(yard) => change({ yard })}
          error={make.fields.yard}
        />
        <Field
          label="Time zone"
          value={draft.time_zone}
          onChange={(time_zone) => change({ time_zone })}
          error={make.fields.time_zone}
        />
        <Choice
          label="Distances in"
          value={draft.distance_unit}
          onChange={(distance_unit) => change({ distance_unit })}
          options={[
            { value: 'km', label: 'kilometres' },
            { value: 'mi', label: 'miles' },
          ]}
        />
        <Field
          label="Your name"
          autoComplete="name"
          value={draft.name}
          onChange={(name) => change({ name })}
          error={make.fields.name}
        />
        <Field
          label="Sign-in name"
          autoComplete="username"
          value={draft.sign_in_name}
          onChange={(sign_in_name) => change({ sign_in_name })}
          error={make.fields.sign_in_name}
        />
        <Field
          label="Password, at least 10 characters"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={setPassword}
          error={make.fields.password}
        />
        <Refusal refused={make.refused} besides={Object.keys({ ...draft, password })} />
        <MainButton type="submit" isDisabled={make.busy}>
          Make the yard and its keeper
        </MainButton>
      </GateForm>
    </Gate>
  );
}
