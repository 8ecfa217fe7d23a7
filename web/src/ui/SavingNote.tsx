import { Button } from 'antd';
import type { Element } from '../api/types';
import type { ElementEditor } from '../plan/useElement';

/** Where the last change stands; what could not be saved is said, with the way out. */
export function SavingNote({ editor }: { editor: ElementEditor<Element> }) {
    if (editor.saving === 'saved' || editor.saving === 'saving') {
        return (
            <span className="saving quiet" role="status">
                {editor.saving === 'saving' ? 'Saving …' : 'Saved'}
            </span>
        );
    }
    const first = editor.errors[0];
    return (
        <div className="notice alarm" role="alert">
            <b>Not saved.</b> {first ? `${first.detail} ${first.remedy}` : ''}
            {editor.goesOn && 'Your change is kept here, and saved by itself when the server is back.'}
            <span className="buttons">
                {editor.saving !== 'refused' && (
                    <Button size="small" onClick={editor.retry}>
                        {editor.saving === 'stale' ? 'Save mine over it' : 'Try again'}
                    </Button>
                )}
                <Button size="small" onClick={editor.discard}>
                    {editor.saving === 'stale' ? 'Take the other one' : 'Drop my change'}
                </Button>
            </span>
        </div>
    );
}
