/** What faces and edges of a box are called. */
import { boxFaces, type BoxEdge, type BoxFace } from '@fox-tempo/core/weld/soak';
import { t } from '../../lib/words.ts';

export function faceName(face: BoxFace): string {
  return {
    base: t('view.heat.face-base'),
    front: t('view.heat.face-front'),
    back: t('view.heat.face-back'),
    left: t('view.heat.face-left'),
    right: t('view.heat.face-right'),
    lid: t('view.heat.face-lid'),
  }[face];
}

export function edgeName(edge: BoxEdge): string {
  const [one, other] = edge.split('-') as [BoxFace, BoxFace];
  return `${faceName(one)} / ${faceName(other)}`;
}

export function facesShown(lid: boolean): readonly BoxFace[] {
  return lid ? boxFaces : boxFaces.filter((face) => face !== 'lid');
}
