import { Component, type ReactNode } from "react";
import { Press } from "./press";
import { Says } from "./words";

type Props = { children: ReactNode };

/** What is shown where a room breaks: the others go on, and what was typed is kept in the browser. */
export class Boundary extends Component<Props, { broken: boolean }> {
  state = { broken: false };

  static getDerivedStateFromError() {
    return { broken: true };
  }

  render() {
    if (!this.state.broken) return this.props.children;
    return (
      <Says tone="wrong">
        This page broke, our own fault. What you typed is kept.{" "}
        <Press onClick={() => window.location.reload()}>Load it again</Press>
      </Says>
    );
  }
}
