import type { ShownCover } from '../lib/generated/types';

export interface CoverProps {
  cover: ShownCover;
  className: string | undefined;
  sizes: string;
  /** The first thing on the page: fetched at once. */
  first?: boolean;
}

/** A cover, cut to its frame around what is to be kept in view. */
export function Cover({ cover, className, sizes, first = false }: CoverProps) {
  return (
    <img
      className={className}
      src={cover.address}
      srcSet={cover.sources ?? undefined}
      sizes={cover.sources === null ? undefined : sizes}
      alt={cover.alt}
      width={340}
      height={170}
      style={{ objectPosition: cover.focus }}
      loading={first ? undefined : 'lazy'}
      decoding="async"
    />
  );
}
