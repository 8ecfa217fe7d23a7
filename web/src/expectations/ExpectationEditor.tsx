import type { Expectation } from '../api/types';
import type { EditorProps } from '../ui/ElementScreen';
import { LookingThrough } from '../ui/LookingThrough';
import type { InFull } from '../ui/WhateverPhonesDo';
import { CallsFields } from './CallsFields';
import styles from './expectations.module.css';
import { Held } from './Held';
import { PromiseFields } from './PromiseFields';
import { TimesFields } from './TimesFields';
import type { useExpectations } from './useExpectations';

/** A promise as a sentence, the parts it is made of, and what became of it. */
export function ExpectationEditor({
    query,
    inFull,
    ...props
}: EditorProps<Expectation> & { query: ReturnType<typeof useExpectations>; inFull: InFull }) {
    const held = query.data?.get(props.value.id);
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
            <LookingThrough what="the coming year" query={{ data: held, error: query.error }} />
            {held && <Held held={held} inFull={inFull} isAtWork={query.isAtWork} />}
        </>
    );
}
