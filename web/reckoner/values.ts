import type { FieldOf, Value, Values } from './calculator';

const isSet = (value: Value | undefined): value is Values =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What is typed as it is sent: what is left empty is not said. */
export function given(values: Values, fields: readonly FieldOf[]): Record<string, unknown> {
  const sent: Record<string, unknown> = {};
  for (const field of fields) {
    const value = sentOf(values[field.name], field);
    if (value !== undefined) sent[field.name] = value;
  }
  return sent;
}

function sentOf(value: Value | undefined, field: FieldOf): unknown {
  switch (field.kind) {
    case 'tick':
      return value === true ? (field.sends ?? true) : undefined;
    case 'ticks':
      return Array.isArray(value) && value.length > 0 ? value : undefined;
    case 'texts': {
      const listed =
        typeof value === 'string'
          ? value
              .split(',')
              .map((one) => one.trim())
              .filter(Boolean)
          : [];
      return listed.length > 0 ? listed : undefined;
    }
    case 'set': {
      const inner = isSet(value) ? given(value, field.fields ?? []) : {};
      return Object.keys(inner).length > 0 ? inner : undefined;
    }
    case 'rows': {
      const all = (Array.isArray(value) ? value : []).map((row) => (isSet(row) ? given(row, field.fields ?? []) : {}));
      // A row left empty between others keeps its place, so that what is wrong stands beside the right one.
      const said = all.slice(0, all.findLastIndex((row) => Object.keys(row).length > 0) + 1);
      return said.length > 0 ? said : undefined;
    }
    default:
      return typeof value === 'string' && value.trim() !== '' ? value.trim() : undefined;
  }
}

/** `limit.force` → `12 lbf`: what is typed, so that an address can carry it. */
export function toAddress(values: Values): URLSearchParams {
  const address = new URLSearchParams();
  const walk = (value: Value, path: string): void => {
    if (Array.isArray(value)) for (const [at, one] of value.entries()) walk(one, `${path}.${at}`);
    else if (isSet(value)) for (const [name, one] of Object.entries(value)) walk(one, path ? `${path}.${name}` : name);
    else if (value === true) address.set(path, 'yes');
    else if (typeof value === 'string' && value !== '') address.set(path, value);
  };
  walk(values, '');
  return address;
}

/** What an address carries, laid over what stands there before anything is typed. */
export function fromAddress(address: URLSearchParams, fields: readonly FieldOf[]): Values {
  return readSet(address, fields, '');
}

const MOST_ROWS = 100;

function readSet(address: URLSearchParams, fields: readonly FieldOf[], path: string): Values {
  const values: Values = {};
  for (const field of fields) {
    const at = path ? `${path}.${field.name}` : field.name;
    values[field.name] = readField(address, field, at);
  }
  return values;
}

function readField(address: URLSearchParams, field: FieldOf, at: string): Value {
  const told = (prefix: string) => [...address.keys()].some((name) => name === prefix || name.startsWith(`${prefix}.`));
  switch (field.kind) {
    case 'tick':
      return address.get(at) === 'yes';
    case 'ticks': {
      const all: string[] = [];
      while (all.length < MOST_ROWS && address.has(`${at}.${all.length}`))
        all.push(address.get(`${at}.${all.length}`) ?? '');
      return all;
    }
    case 'set':
      return readSet(address, field.fields ?? [], at);
    case 'rows': {
      const all: Values[] = [];
      while (all.length < MOST_ROWS && told(`${at}.${all.length}`))
        all.push(readSet(address, field.fields ?? [], `${at}.${all.length}`));
      return all.length > 0 ? all : [readSet(address, field.fields ?? [], `${at}.0`)];
    }
    default:
      return address.get(at) ?? '';
  }
}
