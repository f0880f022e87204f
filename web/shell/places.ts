/** The places that are built, each with its key. */
export const PLACES = [
  { to: '/yard', name: 'Yard', key: '1' },
  { to: '/walkaround', name: 'Walkaround', key: '2' },
  { to: '/logbook', name: 'Logbook', key: '6' },
  { to: '/reckoner', name: 'Reckoner', key: '7' },
] as const;
