import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { sessionQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { MainButton } from '../kit/Button';
import { Field } from '../kit/Field';
import { Soft } from '../kit/Sheet';
import { Refusal } from '../trade/Refusal';
import { Gate, GateForm } from './SignIn';

/** Whoever was invited chooses a password. The code stands behind the number sign, or is typed. */
export default function WelcomePage({ yard }: { yard: string | null }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [code, setCode] = useState(() => decodeURIComponent(window.location.hash.slice(1)));
  const [password, setPassword] = useState('');
  const accept = useWrite(
    (_key, body: { code: string; password: string }) => answer(api.POST('/invitation', { body })),
    async (session) => {
      await navigate('/walkaround', { replace: true });
      queries.setQueryData(sessionQuery.queryKey, session);
    },
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    accept.send({ code, password });
  };
  return (
    <Gate>
      <title>Welcome</title>
      <GateForm onSubmit={submit}>
        <h1>{yard ?? 'Jardinier'}</h1>
        <Soft>You were invited. Choose a password of your own; nobody else needs to know it.</Soft>
        <Field
          label="The code that you were given"
          autoComplete="off"
          value={code}
          onChange={setCode}
          error={accept.fields.code}
          autoFocus={code === ''}
        />
        <Field
          label="Password, at least 10 characters"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={setPassword}
          error={accept.fields.password}
          autoFocus={code !== ''}
        />
        <Refusal refused={accept.refused} besides={['code', 'password']} />
        <MainButton type="submit" isDisabled={accept.busy}>
          Come in
        </MainButton>
      </GateForm>
    </Gate>
  );
}
