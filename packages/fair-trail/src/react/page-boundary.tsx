import { Component, type ReactNode } from 'react';

interface PageBoundaryProps {
  readonly failed: (error: unknown, retry: () => void) => ReactNode;
  readonly retry: () => void;
  readonly onError: (error: unknown) => void;
  readonly children: ReactNode;
}

/** Keeps what a page throws to that page. The rest of the document, and the way to other pages, stays. */
export class PageBoundary extends Component<
  PageBoundaryProps,
  { readonly error: { readonly thrown: unknown } | null }
> {
  override state = { error: null };

  static getDerivedStateFromError(thrown: unknown): { error: { thrown: unknown } } {
    return { error: { thrown } };
  }

  override componentDidCatch(error: unknown): void {
    this.props.onError(error);
  }

  override render(): ReactNode {
    const { error } = this.state as { error: { readonly thrown: unknown } | null };
    return error ? this.props.failed(error.thrown, this.props.retry) : this.props.children;
  }
}
