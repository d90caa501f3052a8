import {
  computed,
  defineComponent,
  inject,
  provide,
  useId,
  type InjectionKey,
  type Ref,
  type Slots,
  type SlotsType,
} from 'vue';
import { errorText } from '../core/error-texts.ts';
import type { TabsEvent } from '../core/interaction/tabs.ts';
import { tabsOptionNames, type TabsOptions } from '../core/view/component-options.ts';
import { tabpanelView, tabView, type TablistViewOptions } from '../core/view/tabs-view.ts';
import { slot } from '../core/view/view.ts';
import { TabRowPart, TabsPart } from '../parts/tabs.ts';
import { givenOf, optional, report, required, type Listener } from './given.ts';
import { provideSlots, type PlainSlot, type SlotGiven } from './slots.ts';
import { useLocation, useSurroundings } from './trail-context.ts';
import { usePart, usePrinter } from './use-part.ts';

interface TabsAround {
  readonly shown: Readonly<Ref<TablistViewOptions>>;
  readonly send: (event: TabsEvent) => void;
  readonly slots: Slots;
}

const tabsKey: InjectionKey<TabsAround> = Symbol('tabs');

function useTabs(): TabsAround {
  const around = inject(tabsKey, null);
  if (!around) throw new Error(errorText('tabs-missing'));
  return around;
}

/**
 * Tabs with panels. Contains a `Tablist`, and a `Tabpanel` for each tab.
 *
 * Slots: the default one, and `icon` (given a `name`), for all tabs.
 *
 * @example
 * <Tabs :tabs="[{ id: 'map', label: 'Map' }, { id: 'log', label: 'Log' }]" label="Causeway Hide">
 *   <Tablist />
 *   <Tabpanel id="map"><HidesMap /></Tabpanel>
 *   <Tabpanel id="log"><Sightings of="causeway" /></Tabpanel>
 * </Tabs>
 */
export const Tabs = defineComponent({
  name: 'Tabs',
  inheritAttrs: false,
  props: {
    /** The tabs, in their order. They may change: where the selected one goes, the next takes its place. */
    tabs: required<TabsOptions['tabs']>(),
    /** The name of the tablist. */
    label: required<string>(),
    /** The id of the tab to begin with. Default: the first that is enabled. */
    initial: optional<string>(),
    /** Whether walking to a tab by arrow keys selects it. Default: `automatic`. */
    activation: optional<TabsOptions['activation']>(),
    /** Default: `horizontal`. */
    orientation: optional<TabsOptions['orientation']>(),
    /** Whether the tabs share the whole room. Default: `natural`. */
    widths: optional<TabsOptions['widths']>(),
    /** Where the address says which tab is selected: its hash, or a key of its query. Default: nowhere. */
    linkedTo: optional<TabsOptions['linkedTo']>(),
    /** Which panels are in the document. Default: `all`. */
    panels: optional<TabsOptions['panels']>(),
    /** The id of the selected tab: `v-model:selected`. Without it the tabs decide by themselves. */
    selected: optional<string>(),
    /** The event `update:selected`: another tab wants to be selected. */
    'onUpdate:selected': optional<Listener<[id: string]>>(),
    /** The event `select`: as `update:selected`. */
    onSelect: optional<Listener<[id: string]>>(),
  },
  slots: Object as SlotsType<{ default?: PlainSlot; icon?: SlotGiven<{ readonly name: string }> }>,
  setup(props, { attrs, slots }) {
    const trail = useSurroundings();
    const location = useLocation();
    const id = useId();
    const onSelect = (tab: string) => {
      report(props['onUpdate:selected'], tab);
      report(props.onSelect, tab);
    };
    const given = computed(() => ({
      ...givenOf(props, [...tabsOptionNames, 'selected']),
      tabs: props.tabs,
      label: props.label,
      trail: trail.value,
      url: location.value.url,
      id,
      onSelect,
      slots: { icon: slots.icon !== undefined },
    }));
    const { part, state, draw, print } = usePart(TabsPart, () => given.value);
    const shown = computed(() => part.shown(given.value, state.value));
    provide(tabsKey, { shown, send: part.send, slots });
    return () => {
      const { view } = draw();
      return view && print(view, attrs);
    };
  },
});

/**
 * The row of tabs. Without children it renders all tabs. With children, place a `Tab` for each.
 *
 * @example
 * <Tablist />
 */
export const Tablist = defineComponent({
  name: 'Tablist',
  inheritAttrs: false,
  slots: Object as SlotsType<{ default?: PlainSlot }>,
  setup(_, { attrs, slots }) {
    const { shown, send, slots: around } = useTabs();
    const { draw, print } = usePart(TabRowPart, () => ({ shown: shown.value, send }), around);
    return () => {
      const { view } = draw();
      return view && print(slots.default ? { ...view, children: [slot('children')] } : view, attrs);
    };
  },
});

/**
 * One tab with your own content. Renders nothing for an unknown id.
 *
 * @example
 * <Tablist>
 *   <Tab id="map"><MapIcon /> Map</Tab>
 * </Tablist>
 */
export const Tab = defineComponent({
  name: 'Tab',
  inheritAttrs: false,
  props: {
    /** Which of the tabs. */
    id: required<string>(),
  },
  slots: Object as SlotsType<{ default?: PlainSlot }>,
  setup(props, { attrs, slots }) {
    const { shown, send, slots: around } = useTabs();
    provideSlots(slots, around);
    const printer = usePrinter(send);
    return () => {
      const tab = shown.value.tabs.find(({ id }) => id === props.id);
      const usual = tab && tabView(tab, shown.value);
      if (!usual) return null;
      return printer.value.printWith(slots.default ? { ...usual, children: [slot('children')] } : usual, attrs);
    };
  },
});

/**
 * What a tab shows.
 *
 * @example
 * <Tabpanel id="map"><HidesMap /></Tabpanel>
 */
export const Tabpanel = defineComponent({
  name: 'Tabpanel',
  inheritAttrs: false,
  props: {
    /** Of the tab that shows it. */
    id: required<string>(),
  },
  slots: Object as SlotsType<{ default?: PlainSlot }>,
  setup(props, { attrs, slots }) {
    const { shown, send } = useTabs();
    provideSlots(slots);
    const printer = usePrinter(send);
    return () => {
      const { id } = props;
      const { tabs, state, idPrefix, panels } = shown.value;
      const tab = tabs.find((one) => one.id === id);
      if (!tab || !panels.includes(id)) return null;
      const view = tabpanelView({ id, label: tab.label, selected: state.selected === id, idPrefix });
      return printer.value.printWith(view, attrs);
    };
  },
});
