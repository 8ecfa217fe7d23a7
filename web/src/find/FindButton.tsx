import { Button, Modal, Tooltip } from 'antd';
import { Suspense, useCallback, useRef, useState } from 'react';
import { whenShown } from '../ui/later';
import { keyNote, useSingleKey, useSingleKeys } from '../ui/singleKeys';
import { Finder } from './Finder';
import styles from './find.module.css';
import { typeAhead } from './typeAhead';

const Reword = whenShown(() => import('./Reword').then((part) => part.Reword));

/** Screens, elements, and words that callers hear or people read: from everywhere, by typing. */
export function FindButton() {
    const [isOpen, setOpen] = useState(false);
    /** Words for which others are wanted. */
    const [reworded, setReworded] = useState<string | null>(null);
    /** Where the keyboard goes on when it is closed. */
    const goesOn = useRef<HTMLElement | null>(null);
    const { find } = useSingleKeys();
    const open = () => {
        goesOn.current = document.activeElement instanceof HTMLElement ? document.activeElement : null;
        setOpen(true);
    };
    const ahead = useRef<ReturnType<typeof typeAhead> | null>(null);
    const takeAhead = useCallback(() => ahead.current?.take() ?? '', []);
    useSingleKey('find', () => {
        takeAhead();
        ahead.current = typeAhead();
        open();
    });
    const close = () => {
        takeAhead();
        setOpen(false);
    };
    return (
        <>
            <Tooltip title={`Find${keyNote(find)}`} placement="right">
                <Button
                    className={styles.opener ?? ''}
                    size="small"
                    type="text"
                    aria-label="Find"
                    onClick={open}
                    icon={
                        <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
                            <path
                                d="M7 2.5a4.5 4.5 0 1 1 0 9 4.5 4.5 0 0 1 0-9M10.3 10.3l3.7 3.7"
                                fill="none"
                                stroke="currentColor"
                                strokeWidth="1.6"
                                strokeLinecap="round"
                            />
                        </svg>
                    }
                />
            </Tooltip>
            <Modal
                title="Find"
                open={isOpen}
                // The keyboard begins in the field.
                closable={false}
                footer={<Button onClick={close}>Close</Button>}
                width={640}
                destroyOnHidden
                // Whoever opens it by a key types on at once.
                transitionName=""
                maskTransitionName=""
                focusable={{ focusTriggerAfterClose: false }}
                onCancel={close}
                afterClose={() => goesOn.current?.focus()}
            >
                <Finder
                    onGo={() => {
                        goesOn.current = document.getElementById('main');
                        close();
                    }}
                    ahead={takeAhead}
                    onReword={(words) => {
                        close();
                        setReworded(words);
                    }}
                />
            </Modal>
            {reworded !== null && (
                <Suspense fallback={null}>
                    <Reword found={reworded} onClose={() => setReworded(null)} />
                </Suspense>
            )}
        </>
    );
}
