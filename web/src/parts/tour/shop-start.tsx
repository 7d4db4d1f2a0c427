/** From an empty shop to the first logged weld: what is still needed, in its order, each with its link. */
import { Box } from '@chakra-ui/react';
import type { MachineResource, Part, SeamResource, Stock } from '@fox-tempo/contract';
import { Link } from 'react-router';
import { useEndpointList } from '../../data/queries.ts';
import { t } from '../../lib/words.ts';
import { Panel } from '../../ui/panel.tsx';

interface ShopStartProps {
  readonly machines: readonly MachineResource[];
  readonly seams: readonly SeamResource[];
  readonly stock: Stock;
}

interface Step {
  readonly name: string;
  readonly why: string;
  readonly to: string;
  readonly isDone: boolean;
}

function stepsOf({ machines, seams, stock }: ShopStartProps, parts: readonly Part[]): Step[] {
  const machine = machines.find(({ file }) => file.dials.length > 0);
  const seam = seams.find(({ revision }) => revision !== null) ?? seams[0];
  const isConnected = (one: { readonly machineId: string | null; readonly retired: boolean }) =>
    one.machineId !== null && !one.retired;
  const machineAt = machine === undefined ? '/machines' : `/machines/${machine.id}`;
  const seamAt = seam === undefined ? '/seams?new=1' : `/seams/${seam.id}`;
  return [
    {
      name: t('view.tour.a-part'),
      why: t('view.tour.a-part-why'),
      to: '/shop/parts',
      isDone: parts.some(({ retired }) => !retired),
    },
    {
      name: t('view.tour.a-machine'),
      why: t('view.tour.a-machine-why'),
      to: machine === undefined && machines[0] ? `/machines/${machines[0].id}` : '/machines?new=1',
      isDone: machine !== undefined,
    },
    {
      name: t('view.tour.state'),
      why: t('view.tour.state-why'),
      to: machine === undefined ? machineAt : `${machineAt}/standing`,
      isDone: machines.some(({ standing }) => standing !== null),
    },
    {
      name: t('view.tour.cylinder-and-spool'),
      why: t('view.tour.cylinder-and-spool-why'),
      to: '/library/stock',
      isDone: stock.cylinders.some(isConnected) && stock.spools.some(isConnected),
    },
    { name: t('view.tour.a-seam'), why: t('view.tour.a-seam-why'), to: '/seams?new=1', isDone: seam !== undefined },
    {
      name: t('view.tour.its-setting'),
      why: t('view.tour.its-setting-why'),
      to: seamAt,
      isDone: seams.some(({ revision }) => revision !== null),
    },
    {
      name: t('view.tour.the-first-weld'),
      why: t('view.tour.the-first-weld-why'),
      to: seam?.revision ? `/at-machine/${seam.id}` : seamAt,
      isDone: false,
    },
  ];
}

export function ShopStart(shop: ShopStartProps) {
  const { data: parts } = useEndpointList('parts');
  if (!parts) return null;
  const steps = stepsOf(shop, parts);
  const next = steps.find(({ isDone }) => !isDone);
  return (
    <Panel gridColumn="1 / -1" title={t('view.tour.empty-shop')} py="2">
      <Box
        as="ol"
        listStyleType="none"
        display="grid"
        gap="2"
        gridTemplateColumns={{ base: '1fr', md: 'repeat(auto-fit, minmax(150px, 1fr))' }}
      >
        {steps.map((step) => (
          <Box
            as="li"
            key={step.name}
            aria-current={step === next ? 'step' : undefined}
            borderTopWidth="3px"
            borderColor={step === next ? 'accent' : step.isDone ? 'spruce' : 'line'}
            pt="1.5"
          >
            <Box asChild fontWeight={650} fontSize="text" minHeight="44px" display="inline-flex" alignItems="center">
              <Link to={step.to}>
                {step.isDone ? '● ' : step === next ? '→ ' : '○ '}
                {step.name}
                {step.isDone && (
                  <Box as="span" srOnly>
                    {', '}
                    {t('view.tour.done')}
                  </Box>
                )}
              </Link>
            </Box>
            {step === next && (
              <Box color="quiet" fontSize="small" lineHeight="1.3">
                {step.why}
              </Box>
            )}
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
