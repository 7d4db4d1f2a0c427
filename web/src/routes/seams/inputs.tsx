/** What is asked about the seam, in the order a welder thinks: metal, joint, size, then wire, gas and how the arc should stand. */
import { amount, type Phrase, inSentence } from '@fox-tempo/core/base/messages';
import { t, format, formatIf, formatQuantity, formatWithUnit, formatForInput } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { fillers, materialOf, materials, wireSizes, type FillerCode } from '@fox-tempo/core/metal/consumables';
import { gradeNamed, grades } from '@fox-tempo/core/metal/grades';
import {
  arcIntents,
  backings,
  jointRule,
  jointRules,
  preparationKinds,
  usualRootFaceMm,
  type ArcIntent,
  type Plan,
  type Position,
} from '@fox-tempo/core/setting/plan';
import { quantity } from '@fox-tempo/core/base/units';
import { useStore } from 'zustand';
import { useSettings } from '../../session/settings.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Panel } from '../../ui/panel.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import { TextField } from '../../ui/text-field.tsx';
import type { DraftStore } from '../../sheet/draft-store.ts';
import { numberFields, type NumberFieldName, type Sheet } from '../../sheet/sheet-fields.ts';
import { gasChoices, modeChoices, positionChoices, wireHint } from './offers.ts';
import { followGrade, followMetal, withFiller } from '../../sheet/wire-defaults.ts';

export interface InputsProps {
  readonly store: DraftStore;
  /** The plan of what is typed so far, for the figures that empty fields stand for. */
  readonly plan: Plan | null;
}

export function Inputs({ store, plan }: InputsProps) {
  const { spec, choice } = useStore(store, (state) => state.sheet);
  const units = useSettings((state) => state.units);
  const edit = store.getState().edit;
  const onSpec = (change: Partial<Sheet['spec']>, field: string) =>
    edit((sheet) => ({ ...sheet, spec: { ...sheet.spec, ...change } }), field);
  const onChoice = (change: Partial<Sheet['choice']>, field: string) =>
    edit((sheet) => ({ ...sheet, choice: { ...sheet.choice, ...change } }), field);
  const isFillet = jointRule(spec.joint).isFillet;
  const material = materialOf(spec.materialGroup);
  const proposed = (value: number | null | undefined, name: NumberFieldName) =>
    value === null || value === undefined
      ? t('view.seams.as-planned')
      : t('view.seams.plan', { figure: formatQuantity(value, numberFields[name].quantity, units).text });

  const setMetal = (materialGroup: Sheet['spec']['materialGroup']) =>
    edit(
      (sheet) => ({
        spec: { ...sheet.spec, materialGroup },
        choice: followMetal(sheet.choice, materialGroup, sheet.spec.grade),
      }),
      'material',
    );
  // The wire follows a grade that it does not suit.
  const setGrade = (grade: string) =>
    edit(
      (sheet) => ({
        spec: { ...sheet.spec, grade },
        choice: followGrade(sheet.choice, sheet.spec.materialGroup, grade),
      }),
      'grade',
    );
  const setJoint = (joint: Sheet['spec']['joint']) =>
    // A leg belongs to fillets, prepared edges to butts; left on another joint they would be refused.
    onSpec(
      {
        joint,
        ...(jointRule(joint).isFillet ? {} : { legMm: null }),
        ...(joint === 'butt' ? {} : { preparation: undefined }),
      },
      'joint',
    );

  const setArc = (meant: 'by-joint' | 'on-line' | ArcIntent) =>
    edit((sheet) => {
      const isHabit = meant === 'by-joint' || meant === 'on-line';
      return {
        spec: { ...sheet.spec, arcIntent: isHabit ? undefined : meant },
        choice: { ...sheet.choice, arcHabit: meant === 'on-line' ? 'on-line' : 'by-joint' },
      };
    }, 'habit');

  const sizes = wireSizes.map(({ diameterMm, label, isInch }) => ({
    value: String(diameterMm),
    label: isInch ? t('view.seams.sum', { label, diameter: amount('shortLength', diameterMm, 2) }) : label,
  }));
  const gases = gasChoices(spec, choice);

  return (
    <>
      <Panel title={t('view.machines.seam')}>
        <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(3, 1fr)', lg: '1fr 1fr' }} gap="2.5">
          <Wide>
            <TextField
              label={t('view.seams.name')}
              value={spec.name}
              onChange={(name) => onSpec({ name }, 'name')}
              error={spec.name.trim() === '' ? t('view.seams.name-missing') : undefined}
            />
          </Wide>
          <ChoiceField
            label={t('view.library.metal')}
            value={spec.materialGroup}
            choices={materials.map(({ group, name }) => ({ value: group, label: name }))}
            onChange={setMetal}
          />
          <ChoiceField
            label={t('view.seams.grade')}
            value={gradeNamed(spec.grade, spec.materialGroup)?.code ?? ''}
            choices={[
              { value: '', label: t('view.seams.grade-not-chosen') },
              ...grades
                .filter(({ group }) => group === spec.materialGroup)
                .map(({ code, alias }) => ({ value: code, label: `${code} (${alias})` })),
            ]}
            onChange={setGrade}
          />
          <Wide>
            <TextField
              label={t('view.seams.grade-in-words')}
              value={spec.grade}
              onChange={(grade) => onSpec({ grade }, 'grade')}
            />
          </Wide>
          <NumberInput store={store} name="thickness1" />
          <NumberInput store={store} name="thickness2" />
          <ChoiceField
            label={t('view.seams.joint')}
            value={spec.joint}
            choices={jointRules.map(({ joint, name }) => ({ value: joint, label: name }))}
            onChange={setJoint}
          />
          <NumberInput store={store} name="gap" />
          <Wide>
            <ChoiceField
              label={t('view.seams.position')}
              value={spec.position}
              choices={positionChoices(spec, choice)}
              onChange={(position: Position) => onSpec({ position }, 'position')}
            />
          </Wide>
          {spec.joint === 'butt' && <Edges store={store} />}
          {isFillet ? <NumberInput store={store} name="leg" placeholder={proposed(plan?.legMm, 'leg')} /> : <NoLeg />}
          <NumberInput store={store} name="length" />
          <NumberInput store={store} name="travel" placeholder={proposed(plan?.travelMmPerMin, 'travel')} />
        </Box>
      </Panel>
      <Panel title={t('view.seams.wire-gas-arc')}>
        <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(3, 1fr)', lg: '1fr 1fr' }} gap="2.5">
          <Wide>
            <ChoiceField
              label={t('view.seams.transfer')}
              value={choice.mode}
              choices={modeChoices(spec, choice)}
              onChange={(mode) => onChoice({ mode, wireFeedMPerMin: null }, 'mode')}
            />
          </Wide>
          <Wide>
            <ChoiceField
              label={t('view.machines.wire')}
              value={choice.filler}
              choices={fillers.map(({ code, name, family }) => ({
                value: code,
                label: material.families.includes(family)
                  ? name
                  : t('view.seams.not-on', { name, what: inSentence(material.name) }),
                disabled: !material.families.includes(family),
              }))}
              onChange={(filler: FillerCode) => onChoice(withFiller(choice, filler), 'filler')}
              hint={wireHint(choice.filler)}
            />
          </Wide>
          <ChoiceField
            label={t('view.seams.wire-size')}
            value={String(choice.diameterMm)}
            choices={withPresent(sizes, String(choice.diameterMm))}
            onChange={(value) => onChoice({ diameterMm: Number(value) }, 'diameter')}
          />
          <NumberInput store={store} name="feed" placeholder={proposed(plan?.proposedFeedMPerMin, 'feed')} />
          <Wide>
            <ChoiceField
              label={t('view.machines.gas')}
              value={choice.gas}
              choices={withPresent(gases, choice.gas)}
              onChange={(gas) => onChoice({ gas }, 'gas')}
              hint={choice.gas === 'none' ? undefined : t('view.seams.gas-iso', { gas: choice.gas })}
            />
          </Wide>
          <Wide>
            <ChoiceField
              label={t('view.simulator.arc-length')}
              value={choice.arcHabit === 'on-line' ? 'on-line' : (spec.arcIntent ?? 'by-joint')}
              choices={[
                { value: 'by-joint', label: t('view.seams.by-the-joint') },
                ...arcIntents.map(({ intent, name }) => ({ value: intent, label: name })),
                { value: 'on-line', label: t('view.seams.arc-line') },
              ]}
              onChange={setArc}
              hint={habitHint(choice.arcHabit, plan, units)}
            />
          </Wide>
        </Box>
      </Panel>
    </>
  );
}

/** Edges of a butt: how they are cut, and what lies under them. */
function Edges({ store }: { readonly store: DraftStore }) {
  const { preparation, gapMm } = useStore(store, (state) => state.sheet.spec);
  const edit = store.getState().edit;
  const kind = preparation?.kind ?? 'square';
  const isPrepared = kind !== 'square';
  const set = (next: Sheet['spec']['preparation'], field: string) =>
    edit((sheet) => ({ ...sheet, spec: { ...sheet.spec, preparation: next } }), field);
  const usualAngle = preparationKinds.find((one) => one.kind === kind)?.angleDeg ?? 60;
  return (
    <>
      <ChoiceField
        label={t('view.seams.edges')}
        value={kind}
        choices={preparationKinds.map((one) => ({ value: one.kind, label: one.name }))}
        onChange={(next) =>
          set(next === 'square' ? undefined : { kind: next, backing: preparation?.backing }, 'preparation')
        }
        hint={isPrepared && gapMm === 0 ? t('view.seams.root-gap-usual', { gap: amount('shortLength', 2) }) : undefined}
      />
      {isPrepared && preparation ? (
        <>
          <ChoiceField
            label={t('view.seams.backing')}
            value={preparation.backing ?? 'none'}
            choices={backings.map(({ backing, name }) => ({ value: backing, label: name }))}
            onChange={(backing) => set({ ...preparation, backing }, 'backing')}
          />
          <NumberInput store={store} name="angle" placeholder={t('view.seams.usual-angle', { usualAngle })} />
          <NumberInput
            store={store}
            name="rootFace"
            placeholder={t('view.seams.usual-root-face', { usualRootFace: usualRootFaceMm })}
          />
        </>
      ) : null}
    </>
  );
}

/** Says why there is no field where one stands for other joints. */
function NoLeg() {
  return (
    <Box textStyle="label" color="quiet" alignSelf="center">
      {t('view.seams.no-leg')}
    </Box>
  );
}

function Wide({ children }: { readonly children: React.ReactNode }) {
  return <Box gridColumn="1 / -1">{children}</Box>;
}

/** One number field tied to the draft. */
function NumberInput({
  store,
  name,
  placeholder,
}: {
  readonly store: DraftStore;
  readonly name: NumberFieldName;
  readonly placeholder?: string;
}) {
  const field = numberFields[name];
  const units = useSettings((state) => state.units);
  const value = useStore(store, (state) => field.read(state.sheet));
  const text = useStore(store, (state) => state.texts[name]);
  const issue = useStore(store, (state) => state.issues[name]);
  return (
    <QuantityField
      label={field.label}
      of={field.quantity}
      value={value}
      text={text}
      // A step that is round in the unit shown.
      step={units === 'us' && quantity(field.quantity).us.factor !== 1 ? field.step * 2.54 : field.step}
      {...(placeholder === undefined ? {} : { placeholder })}
      error={issue && [format(issue.message), format(formatIf(issue.hint) ?? '')].filter(Boolean).join(' ')}
      onText={(typed) => store.getState().type(name, typed, units)}
      onValue={(next) => store.getState().type(name, formatForInput(next, field.quantity, units), units)}
    />
  );
}

/** Both habits side by side in words, so that neither is hidden. */
function habitHint(habit: Sheet['choice']['arcHabit'], plan: Plan | null, units: 'metric' | 'us'): string | undefined {
  if (!plan) return undefined;
  const line = plan.arcLengthMm - plan.trimMm;
  return habit === 'on-line'
    ? t('view.seams.arc-line-usual', { arc: formatWithUnit(line, 'shortLength', units) })
    : t('view.seams.arc-line-is', {
        arc: formatWithUnit(plan.arcLengthMm, 'shortLength', units),
        line: formatWithUnit(line, 'shortLength', units),
      });
}

/** The list with the present value in it, even when it is not a common one. */
function withPresent(choices: readonly { value: string; label: Phrase }[], present: string) {
  return choices.some((choice) => choice.value === present)
    ? choices
    : [...choices, { value: present, label: present }];
}
