import { Button } from 'antd';
import { Component, type ReactNode, useEffect, useState } from 'react';

const LONG = 3_000;

/** What is shown in place of a part of the page that cannot be drawn: the rest of the page goes on. */
export class Broken extends Component<{ children: ReactNode }, { error: Error | null }> {
    override state = { error: null as Error | null };

    static getDerivedStateFromError(error: unknown) {
        return { error: error instanceof Error ? error : new Error(String(error)) };
    }

    override render() {
        if (!this.state.error) return this.props.children;
        return (
            <div className="notice alarm" role="alert">
                <p>
                    This cannot be shown: something went wrong here ({this.state.error.message}). What was saved is
                    kept.
                </p>
                <div className="ways">
                    <Button size="small" onClick={() => this.setState({ error: null })}>
                        Show it again
                    </Button>
                    <LoadAnew />
                </div>
            </div>
        );
    }
}

/** While the code of a screen is on its way. */
export function Fetching() {
    const [isLong, setIsLong] = useState(false);
    useEffect(() => {
        const timer = setTimeout(() => setIsLong(true), LONG);
        return () => clearTimeout(timer);
    }, []);
    if (!isLong) return null;
    return (
        <div className="notice" role="status">
            <p>This screen could not be fetched yet. It is tried again by itself, as long as you stay here.</p>
            <LoadAnew />
        </div>
    );
}

function LoadAnew() {
    return (
        <Button size="small" onClick={() => window.location.reload()}>
            Load the page anew
        </Button>
    );
}
