import type { Schemas } from '../api/client';
import { listed } from '../fluids/words';

/** What is written down of an opening, or of the place of a part, as it is being typed. */
export type SheetDraft = {
  tool: string;
  torque: string;
  seal: string;
  sealant: string;
  magnet: boolean;
  side: 'left' | 'right' | '';
  comes_off: string;
  loose: string;
  closure: NonNullable<Schemas['Sheet']['closure']> | '';
  also: Schemas['OpeningRole'][];
  under: string[];
  part: Schemas['PartKind'];
  number: string;
  superseded_by: string;
  equivalents: { number: string; will_do: boolean; because: string }[];
  kit: string;
  kit_holds: string;
  orientation: string;
  tight: string;
  uses: string;
  only_for: string;
  hangs: 'upright' | 'sideways' | 'inverted' | '';
  drinks: string;
};

export const sheetDraft = (sheet: Schemas['Sheet'] | null | undefined): SheetDraft => ({
  tool: sheet?.tool ?? '',
  torque: sheet?.torque ?? '',
  seal: sheet?.seal ?? '',
  sealant: sheet?.sealant ?? '',
  magnet: sheet?.magnet ?? false,
  side: sheet?.side ?? '',
  comes_off: sheet?.comes_off ?? '',
  loose: (sheet?.loose ?? []).join(', '),
  closure: sheet?.closure ?? '',
  also: sheet?.also ?? [],
  under: sheet?.under ?? [],
  part: sheet?.kind ?? 'other',
  number: sheet?.number ?? '',
  superseded_by: sheet?.superseded_by ?? '',
  equivalents: (sheet?.equivalents ?? []).map(({ number, will_do, because }) => ({
    number,
    will_do,
    because: because ?? '',
  })),
  kit: sheet?.kit ?? '',
  kit_holds: (sheet?.kit_holds ?? [])
    .map(({ name, count }) => (count && count > 1 ? `${count} x ${name}` : name))
    .join(', '),
  orientation: sheet?.orientation ?? '',
  tight: sheet?.tight ?? '',
  uses: (sheet?.uses ?? []).join(', '),
  only_for: sheet?.only_for ?? '',
  hangs: sheet?.hangs ?? '',
  drinks: sheet?.drinks ?? '',
});

/** `2 x ring, gasket` */
const pieces = (text: string): { name: string; count: number }[] =>
  listed(text).map((one) => {
    const counted = /^(\d+)\s*[x×]\s*(.+)$/.exec(one);
    return counted ? { name: counted[2] ?? one, count: Number(counted[1]) } : { name: one, count: 1 };
  });

export const openingSheet = (draft: SheetDraft): Schemas['Sheet'] => ({
  tool: draft.tool,
  torque: draft.torque || null,
  seal: draft.seal,
  sealant: draft.sealant,
  magnet: draft.magnet,
  side: draft.side || null,
  comes_off: draft.comes_off,
  loose: listed(draft.loose),
  closure: draft.closure || null,
  also: draft.also,
});

export const partSheet = (draft: SheetDraft): Schemas['Sheet'] => ({
  kind: draft.part,
  number: draft.number,
  superseded_by: draft.superseded_by,
  equivalents: draft.equivalents.filter(({ number }) => number.trim() !== ''),
  kit: draft.kit,
  kit_holds: pieces(draft.kit_holds),
  orientation: draft.orientation,
  loose: listed(draft.loose),
  tight: draft.tight,
  seal: draft.seal,
  uses: listed(draft.uses),
  only_for: draft.only_for,
  hangs: draft.hangs,
  drinks: draft.drinks || null,
  under: draft.under,
});
