'use client'
import { Component, type ReactNode } from 'react'

/** A fence around one thing among many: where it cannot be drawn, `otherwise` stands in its place. */
export class Beside extends Component<
  { children: ReactNode; otherwise: (error: Error) => ReactNode },
  { error?: Error }
> {
  override state: { error?: Error } = {}
  static getDerivedStateFromError(error: Error): { error: Error } {
    return { error }
  }
  override render(): ReactNode {
    return this.state.error ? this.props.otherwise(this.state.error) : this.props.children
  }
}
