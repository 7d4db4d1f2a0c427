/** Photographs of a trial: chosen or taken, made small, shown; what is no photograph is said at once. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useMemo, useState } from 'react';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import type { Entry } from '../../data/outbox/index.ts';
import { smallPhoto } from './photo.ts';
import { X } from 'lucide-react';

export type Photos = Entry['files'];
const mostPhotos = 6;

export function PhotoPicker({
  photos,
  onChange,
}: {
  readonly photos: Photos;
  readonly onChange: (photos: Photos) => void;
}) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const add = async (files: FileList | null) => {
    setTrouble(null);
    const added: { name: string; bytes: Blob }[] = [];
    for (const file of [...(files ?? [])].slice(0, mostPhotos - photos.length)) {
      const small = await smallPhoto(file);
      if (small === 'not-a-photo') setTrouble(t('view.trials.is-no-photograph', { name: file.name }));
      else if (small === 'too-many-pixels') setTrouble(t('view.trials.photo.too-large', { name: file.name }));
      else added.push({ name: file.name, bytes: small });
    }
    if (added.length > 0) onChange([...photos, ...added]);
  };
  return (
    <Box display="grid" gap="2">
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="center">
        <Box
          asChild
          display="inline-flex"
          alignItems="center"
          minHeight="44px"
          px="3.5"
          borderWidth="1px"
          borderColor="edge"
          borderRadius="3px"
          fontWeight={600}
          fontSize="text"
          cursor="pointer"
          _hover={{ bg: 'accentSoft' }}
          _focusWithin={{ outline: '2px solid', outlineColor: 'accent' }}
        >
          <label>
            {t('view.trials.add-a-photo')}
            <chakra.input
              type="file"
              accept="image/*"
              multiple
              srOnly
              onChange={(event) => void add(event.target.files)}
            />
          </label>
        </Box>
        {photos.map(({ name, bytes }, at) => (
          <Thumbnail
            key={`${name}${at}`}
            name={name}
            bytes={bytes}
            onDrop={() => onChange(photos.filter((_, other) => other !== at))}
          />
        ))}
      </Box>
      {trouble !== null && <Notice level="refusal">{trouble}</Notice>}
    </Box>
  );
}

function Thumbnail({
  name,
  bytes,
  onDrop,
}: {
  readonly name: string;
  readonly bytes: Blob;
  readonly onDrop: () => void;
}) {
  const url = useMemo(() => URL.createObjectURL(bytes), [bytes]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  return (
    <Box display="flex" alignItems="center">
      <chakra.img src={url} alt={name} height="52px" borderRadius="3px" />
      <Action kind="quiet" aria-label={t('view.trials.leave-out', { name })} onClick={onDrop}>
        <X size={18} aria-hidden="true" />
      </Action>
    </Box>
  );
}
