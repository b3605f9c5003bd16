import { Component, type ReactNode } from 'react';

/** Shows what broke instead of an empty page; what was edited is kept by the session. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { message: string | undefined }> {
  override state = { message: undefined };

  static getDerivedStateFromError(error: unknown) {
    return { message: error instanceof Error ? error.message : String(error) };
  }

  override render() {
    if (this.state.message === undefined) return this.props.children;
    return (
      <main className="trouble-page">
        <h1>This screen broke</h1>
        <p role="alert">{this.state.message}</p>
        <p>Nothing that you typed is lost: it is on the server or kept in this browser.</p>
        <a className="btn btn-primary" href="/">
          To the list of jobs
        </a>
      </main>
    );
  }
}
