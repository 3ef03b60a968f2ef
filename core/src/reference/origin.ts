/** Where a figure comes from; every default shows it. */
export type Origin =
  | { readonly kind: 'published'; readonly citation: string; readonly fromMemory: boolean }
  | { readonly kind: 'common practice' }
  | { readonly kind: 'project default'; readonly reason: string }
  /** Set or changed by the coaches of a studio. */
  | { readonly kind: 'studio'; readonly note: string };

export const COMMON_PRACTICE: Origin = { kind: 'common practice' };

export function projectDefault(reason: string): Origin {
  return { kind: 'project default', reason };
}

/**
 * The origin as a coach reads it.
 *
 * @example originInWords(COMMON_PRACTICE) // 'common practice, no source'
 */
export function originInWords(origin: Origin): string {
  switch (origin.kind) {
    case 'published':
      return origin.fromMemory ? `${origin.citation} (from memory)` : origin.citation;
    case 'common practice':
      return 'common practice, no source';
    case 'project default':
      return `project default: ${origin.reason}`;
    case 'studio':
      return origin.note ? `the studio’s own: ${origin.note}` : 'the studio’s own';
  }
}
