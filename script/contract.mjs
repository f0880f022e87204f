// The contract as TypeScript: its types, and what each answer has at the least, by which what is kept on a device is known again.
import { readFile, writeFile } from 'node:fs/promises';
import openapi, { astToString } from 'openapi-typescript';
import ts from 'typescript';
import { parse } from 'yaml';

const contract = new URL('../docs/openapi.yaml', import.meta.url);
const into = (name) => new URL(`../web/api/${name}.ts`, import.meta.url);

// States are the yard's to compare: the web knows them as types that only its core can look into.
const STATES = ['Verdict', 'Harm', 'Told', 'RuleState', 'MachineState'];
const isState = new Set(STATES.map((name) => `#/components/schemas/${name}`));
const literal = (name) => ts.factory.createLiteralTypeNode(ts.factory.createStringLiteral(name));
const asState = (schema, { path }) =>
  isState.has(path)
    ? ts.factory.createTypeReferenceNode('State', [ts.factory.createUnionTypeNode(schema.enum.map(literal))])
    : undefined;

const whole = parse(await readFile(contract, 'utf8'));
const find = (part) => (part?.$ref ? part.$ref.split('/').slice(1).reduce((at, name) => at[name], whole) : part);
const requiredOf = (schema) => {
  const { required = [], allOf = [] } = find(schema) ?? {};
  return [...required, ...allOf.flatMap(requiredOf)];
};
const required = Object.entries(whole.paths).flatMap(([path, { get }]) => {
  const names = requiredOf(find(get?.responses?.['200'])?.content?.['application/json']?.schema);
  return names.length > 0 ? [[path, names]] : [];
});

const types = await openapi(contract, { transform: asState, inject: "import type { State } from '../offline/states';" });
await writeFile(into('schema'), astToString(types));
await writeFile(
  into('required'),
  `/** What the answer of an address has at the least. */\nexport const required: Record<string, string[]> = ${JSON.stringify(Object.fromEntries(required))};\n`,
);
