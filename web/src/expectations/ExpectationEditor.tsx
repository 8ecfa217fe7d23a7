import type { Expectation, HeldExpectation } from '../api/types';
import type { EditorProps } from '../ui/ElementScreen';
import type { InFull } from '../ui/WhateverPhonesDo';
import { CallsFields } from './CallsFields';
import styles from './expectations.module.css';
import { Held } from './Held';
import { PromiseFields } from './PromiseFields';
import { TimesFields } from './TimesFields';

/** A promise as a sentence, the parts it is made of, and what became of it. */
export function ExpectationEditor({
    held,
    inFull,
    ...props
}: EditorProps<Expectation> & { held: HeldExpectation | undefined; inFull: InFull }) {
    return (
        <>
            {held && (
                <p className={styles.sentence}>
                    {held.sentence.calls} <i aria-hidden="true">·</i> {held.sentence.when} <i aria-hidden="true">·</i>{' '}
                    {held.sentence.promise}
                </p>
            )}
            <div className={styles.parts}>
                <CallsFields {...props} />
                <TimesFields {...props} />
                <PromiseFields {...props} />
            </div>
            {held ? <Held held={held} inFull={inFull} /> : <p className="quiet">Looking through the coming year …</p>}
        </>
    );
}
