/** What the shop is used on: a wide desk, the usual one, two tablets each way round, and 200% zoom of the usual one. */
export const sizes = [
  [1680, 1050],
  [1280, 800],
  [1180, 820],
  [1024, 768],
  [820, 1180],
  [640, 400],
] as const

/** Every view with an order that is there to be worked on. */
export const views: [path: string, order: string][] = [
  ['/ask', 'demo-206'],
  ['/compare', 'demo-205'],
  ['/layout', 'demo-211'],
  ['/layout', 'demo-204'],
  ['/quote', 'demo-204'],
  ['/gather', 'demo-203'],
  ['/press', 'demo-202'],
  ['/send', 'demo-208'],
  ['/learn', 'demo-201'],
  ['/shelf', 'demo-201'],
  ['/floor', 'demo-201'],
  ['/numbers', 'demo-201'],
]
