import { EditionsSheet } from './EditionsSheet';
import { PublishSheet } from './PublishSheet';

/** What is live, what was before and what is to come; and all that one wants to know before publishing. */
export function EditionsScreen() {
    return (
        <div className="two even">
            <PublishSheet />
            <EditionsSheet />
        </div>
    );
}
