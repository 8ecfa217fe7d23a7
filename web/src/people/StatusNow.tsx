import { App, Select } from 'antd';
import { RefusedError } from '../api/client';
import type { Person, Status } from '../api/types';
import { Field } from '../ui/Field';
import { LineInput } from '../ui/LineInput';
import { STATUSES, useStatuses } from './useStatuses';

/** The status of a person: set here, it holds for live calls at once, whatever is published. */
export function StatusNow({ person }: { person: Person }) {
    const { of, set } = useStatuses();
    const { message } = App.useApp();
    const now = of(person.id);
    const change = async (status: Status, until: string | null) => {
        try {
            await set(person.id, status, until);
        } catch (error) {
            const first = error instanceof RefusedError ? error.problem.errors?.[0] : undefined;
            message.error(first ? `${first.detail} ${first.remedy}` : String(error));
        }
    };
    return (
        <Field label="Status now" hint="Live at once; without a rule for it, only available people are rung">
            {(a11y) => (
                <span className="line-row tight">
                    <Select
                        {...a11y}
                        aria-label="Status now"
                        style={{ width: 150 }}
                        value={now?.status ?? 'available'}
                        options={STATUSES}
                        onChange={(status) => change(status, null)}
                    />
                    {now && (
                        <>
                            until
                            <LineInput
                                label="Status until"
                                type="datetime-local"
                                width={190}
                                value={now.until?.slice(0, 16) ?? ''}
                                onSave={(until) => change(now.status, until || null)}
                            />
                        </>
                    )}
                </span>
            )}
        </Field>
    );
}
