/** Where the work is, when it is not the bench: each place with its own cautions, kept on the device for this seam. */
import { Box } from '@chakra-ui/react';
import { placeCautions, workPlaceNames, workPlaces, type WorkPlace } from '@fox-tempo/core/machine/setup';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { HazardText } from '../../ui/hazard-text.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';

export function WorkPlaces({ seamId }: { readonly seamId: string }) {
  const [{ places }, setPlaces] = useKeptForm<{ readonly places: readonly WorkPlace[] }>(`place/${seamId}`, {
    places: [],
  });
  return (
    <Box role="group" aria-label={t('view.setup.site.title')} borderTopWidth="1px" borderColor="line" mt="2" pt="2">
      <Box textStyle="label" color="quiet" mb="1">
        {t('view.setup.site.title')}
      </Box>
      <Box display="flex" gap="1.5" flexWrap="wrap">
        {workPlaces.map((place) => {
          const isOn = places.includes(place);
          return (
            <Action
              key={place}
              fontSize="small"
              aria-pressed={isOn}
              onClick={() => setPlaces({ places: isOn ? places.filter((one) => one !== place) : [...places, place] })}
            >
              {isOn ? '● ' : '○ '}
              {format(workPlaceNames[place])}
            </Action>
          );
        })}
      </Box>
      {places.length > 0 && (
        <Box as="ul" listStyleType="disc" ps="5" mt="2" fontSize="text">
          {workPlaces
            .filter((place) => places.includes(place))
            .flatMap((place) => placeCautions[place])
            .map((line) => (
              <li key={line.code}>
                <HazardText said={line} />
              </li>
            ))}
        </Box>
      )}
    </Box>
  );
}
