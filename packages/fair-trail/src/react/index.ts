export { Trail, usePosition, useSite, useTrail, type TrailContext, type TrailProps } from './trail.tsx';
export { Navbar, type NavbarProps } from './navbar.tsx';
export { Breadcrumbs, type BreadcrumbsProps } from './breadcrumbs.tsx';
export { SkipLink, type SkipLinkProps } from './skip-link.tsx';
export { Stage, type Page, type PageProps, type StageProps } from './stage.tsx';
export { TrailLink, type TrailLinkProps } from './trail-link.tsx';
