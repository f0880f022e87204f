import type { Schemas } from '../api/client';
import { within } from '../kit/format';

const LIMIT_OF: Record<Schemas['Check']['limit_source'], string> = {
  machine: "this machine's",
  class: "the yard's for its class",
  common_practice: 'common practice',
};

/** `Limit, common practice: it may give 1/3 in, when pressed with 15 lbf.` */
export function limitsInWords({ limit_asks, limits, limit_source }: Schemas['Check']): string {
  const told = limit_asks.flatMap(({ name, label, options }) => {
    const limit = limits[name];
    return limit ? `${within(label)} ${options.find(({ value }) => value === limit)?.label ?? limit}` : [];
  });
  return `Limit, ${LIMIT_OF[limit_source]}: ${told.join(', ')}.`;
}
