import { Component, type ReactNode } from 'react';

interface Props {
  /** What stands there when it broke; it is tried again when asked, and whenever `of` changes. */
  fallback(error: unknown, again: () => void): ReactNode;
  /** What is drawn in it: another one begins anew. */
  of: unknown;
  children: ReactNode;
}

/** Holds what breaks while it is drawn, so that nothing round it goes with it. */
export class Boundary extends Component<Props, { broke: { error: unknown; of: unknown } | undefined }> {
  override state = { broke: undefined as { error: unknown; of: unknown } | undefined };

  override componentDidCatch(error: unknown): void {
    this.setState({ broke: { error, of: this.props.of } });
  }

  static getDerivedStateFromError(error: unknown) {
    return { broke: { error, of: broken } };
  }

  override componentDidUpdate(): void {
    const { broke } = this.state;
    if (broke && broke.of !== broken && broke.of !== this.props.of) this.again();
  }

  private readonly again = () => this.setState({ broke: undefined });

  override render(): ReactNode {
    const { broke } = this.state;
    return broke ? this.props.fallback(broke.error, this.again) : this.props.children;
  }
}

/** Until it is known what was drawn when it broke. */
const broken = Symbol('broken');
