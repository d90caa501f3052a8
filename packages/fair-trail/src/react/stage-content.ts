import type { ComponentType } from 'react';
import { LazyPage } from '../parts/lazy-page.ts';
import type { OuterStageOf, StageComponents, StageContent } from '../parts/stage-content.ts';
import type { FailedPageProps, LayoutProps, Page } from './page.ts';
import { Waiting } from './stage-pages.tsx';

/** The pages of each entry, by the entry's id. */
export type StagePages = Readonly<Record<string, Page | LazyPage<Page>>>;

export type StageSettings = StageComponents<Page, ComponentType<LayoutProps>, ComponentType<FailedPageProps>>;

export type OuterStage = OuterStageOf<StageSettings>;

export type Content = StageContent<Page, ComponentType<LayoutProps>>;

/** What draws the content. */
export function componentOf({ page, layout }: Content): Page {
  if (layout) return layout as Page;
  return (page instanceof LazyPage ? page.page : page) ?? Waiting;
}
