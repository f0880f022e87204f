const IDS = [
  'L',
  'mL',
  'us_gal',
  'us_qt',
  'us_pt',
  'us_floz',
  'imp_gal',
  'imp_qt',
  'imp_pt',
  'imp_floz',
  'mm',
  'cm',
  'm',
  'in',
  'ft',
  'km',
  'mi',
  'kPa',
  'bar',
  'psi',
  'N_m',
  'ft_lbf',
  'in_lbf',
  'kgf_m',
  'N',
  'lbf',
  'kgf',
  'degC',
  'degF',
  'g',
  'kg',
  'oz',
  'lb',
  'h',
  'min',
  's',
  'd',
] as const;

const spelt = (unit: string): string =>
  unit
    .replace('degC', '°C')
    .replace('degF', '°F')
    .replace('N_m', 'N·m')
    .replace('_lbf', '·lbf')
    .replace('kgf_m', 'kgf·m')
    .replace('us_', 'US ')
    .replace('imp_', 'imp ')
    .replace('floz', 'fl oz');

export const UNITS = IDS.map((id) => [id, spelt(id)] as const);
