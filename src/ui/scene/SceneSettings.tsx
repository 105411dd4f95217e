'use client';
import { stepOf } from '@/core/steps/commands';
import { Form } from 'react-bootstrap';
import { SIDES } from '@/core/geometry/rect';
import type { Scene } from '@/core/scene/scene';
import type { Bars } from '@/core/screens/bar-rules';
import type { Colour } from '@/core/values/values';
import { Choices } from '../parts/Choices';
import { capitalised } from '@/core/words/words';
import { useAxisWords } from './useAxisWords';
import { useAnswerPart, useAskedPath } from '../state/asked-part';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, editLive } from '../state/edit';
import { EditorPopover } from '../parts/EditorPopover';
import { ColourEditor } from './editors/ColourEditor';
import { LengthField } from './editors/LengthField';
import { NumberField } from '../parts/NumberField';
import { faultOf, useCauses } from './causes';

const BAR_WORDS = {
  status: 'Status bar',
  title: 'Title bar of the app',
  navigation: 'Navigation bar',
} as const;
type BarKind = keyof typeof BAR_WORDS;

const SYMBOLS = [
  { value: 'by-appearance', label: 'by appearance', title: 'Dark on light screens, light on dark ones' },
  { value: 'dark', label: 'dark' },
  { value: 'light', label: 'light' },
] as const;
const STYLES = [
  { value: 'gesture', label: 'a line to swipe' },
  { value: 'buttons', label: 'buttons' },
] as const;
const DIRECTIONS = [
  { value: 'ltr', label: 'left to right' },
  { value: 'rtl', label: 'right to left', title: 'A preview: left and right change places' },
] as const;

const FIRST_COLOUR: Colour = { light: '#ffffff', dark: '#101418' };

interface BarProps {
  kind: BarKind;
  change: (recipe: (s: Scene) => void) => void;
}

/** What only one of the bars has: the height of a title bar, the style of a navigation bar. */
function OwnField({ kind, change }: BarProps) {
  const store = useWorkbenchStore();
  const { title, navigation } = useScene().bars;
  if (kind === 'title')
    return (
      <NumberField
        label="Height"
        unit="lu"
        min={0}
        max={400}
        value={title.height}
        onChange={(height) => change((s) => (s.bars.title.height = height))}
        onCommit={() => commit(store)}
      />
    );
  if (kind === 'status') return null;
  return (
    <Choices
      label="With"
      options={STYLES}
      value={navigation.style}
      onChoose={(style) => {
        change((s) => (s.bars.navigation.style = style));
        commit(store);
      }}
    />
  );
}

/** How a bar that is shown looks. */
function BarLooks({ kind, change }: BarProps) {
  const store = useWorkbenchStore();
  const bar = useScene().bars[kind];
  const named = useWorkbench((s) => s.documents.project.named);
  const onCommit = () => commit(store);
  const set = (recipe: (b: Bars[BarKind]) => void) => change((s) => recipe(s.bars[kind]));
  return (
    <div className="bar-fields">
      <OwnField {...{ kind, change }} />
      <Choices
        label="Symbols"
        options={SYMBOLS}
        value={bar.symbols ?? 'by-appearance'}
        onChoose={(symbols) => {
          set((b) => (b.symbols = symbols));
          onCommit();
        }}
      />
      <Form.Check
        type="checkbox"
        id={`bar-${kind}-clear`}
        label="See-through"
        checked={bar.colour === undefined}
        onChange={(e) => {
          set((b) => {
            if (e.target.checked) delete b.colour;
            else b.colour = FIRST_COLOUR;
          });
          onCommit();
        }}
      />
      {bar.colour && (
        <ColourEditor
          value={bar.colour}
          named={named}
          id={`bar-${kind}-colour`}
          onChange={(colour) => set((b) => (b.colour = colour))}
          onCommit={onCommit}
        />
      )}
    </div>
  );
}

/** One bar: whether it is shown, its colour, and its symbols. */
function BarFields({ kind, change }: BarProps) {
  const store = useWorkbenchStore();
  const { shown } = useScene().bars[kind];
  return (
    <div className="bound" role="group" aria-label={BAR_WORDS[kind]}>
      <Form.Check
        type="checkbox"
        id={`bar-${kind}`}
        label={BAR_WORDS[kind]}
        checked={shown}
        onChange={(e) => {
          change((s) => (s.bars[kind].shown = e.target.checked));
          commit(store);
        }}
      />
      {shown && <BarLooks {...{ kind, change }} />}
    </div>
  );
}

function SceneFields() {
  const store = useWorkbenchStore();
  const scene = useScene();
  const named = useWorkbench((s) => s.documents.project.named);
  const words = useAxisWords()('x');
  const onCommit = () => commit(store);
  const change = (recipe: (s: Scene) => void) =>
    editLive(store, stepOf('scene.change', scene.name), ({ scenes }) => {
      const target = scenes[scene.id];
      if (target) recipe(target);
    });
  return (
    <>
      {(['status', 'title', 'navigation'] as const).map((kind) => (
        <BarFields key={kind} kind={kind} change={change} />
      ))}
      <div className="bound" role="group" aria-label="Margins inside the safe area">
        <span className="choices-label">Margins inside the safe area</span>
        {SIDES.map((side) => (
          <LengthField
            key={side}
            label={capitalised(side === 'left' ? words.start : side === 'right' ? words.end : side)}
            value={scene.margin[side]}
            named={named}
            percentOf="the safe area"
            min={0}
            onChange={(next) => change((s) => (s.margin[side] = next))}
            onCommit={onCommit}
          />
        ))}
      </div>
      <div className="bound">
        <Choices
          label="Written from"
          options={DIRECTIONS}
          value={scene.direction ?? 'ltr'}
          onChoose={(direction) => {
            change((s) => (s.direction = direction));
            onCommit();
          }}
        />
      </div>
    </>
  );
}

/** What belongs to the scene and not to a layer: the bars over it, its margins, its writing direction. */
export function SceneSettings() {
  const fault = faultOf(useCauses(null));
  const isAsked = useAskedPath(null) !== null;
  const onClosed = useAnswerPart();
  return (
    <EditorPopover
      label="Scene"
      isAsked={isAsked}
      onClosed={onClosed}
      button={{
        variant: 'quiet',
        size: 'sm',
        className: fault ? `part-${fault.outcome}` : undefined,
        title: fault ? `Causes: ${fault.words}` : undefined,
        children: 'bars and margins',
      }}
    >
      {() => <SceneFields />}
    </EditorPopover>
  );
}
