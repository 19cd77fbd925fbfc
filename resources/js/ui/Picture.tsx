import type { ShownPicture } from '../lib/generated/types';
import ui from './ui.module.css';

/** A picture of the school's own, as wide as there is room. */
export function Picture({ picture, sizes }: { picture: ShownPicture; sizes: string }) {
  return <img className={ui.picture} src={picture.address} srcSet={picture.sources} sizes={sizes} width={picture.width} height={picture.height} alt={picture.title} loading="lazy" decoding="async" />;
}
