import { Switch } from 'antd';
import type { ReactNode } from 'react';
import { FindingsAt } from './FindingsAt';
import { MoveButton, RemoveButton } from './RowButtons';
import type { RowActs } from './rowActs';

/** Somebody in a list: on or off, moved and removed, with what is wrong below. */
export function MemberFrame<T extends { on: boolean }>({
    name,
    title,
    does,
    member,
    acts,
    disabled,
    error,
    at,
    children,
    below,
}: {
    name: string;
    title: ReactNode;
    /** What they do when they are on, for screen readers. */
    does: string;
    member: T;
    acts: RowActs<T>;
    disabled: boolean;
    error: string | undefined;
    /** Its place in the element. */
    at: string;
    children: ReactNode;
    below?: ReactNode;
}) {
    return (
        <li className={member.on ? '' : 'off'}>
            <div className="line-row wrap">
                <span className="grow">{title}</span>
                <Switch
                    size="small"
                    aria-label={`${name} ${does}`}
                    checked={member.on}
                    disabled={disabled}
                    onChange={(on) => acts.change({ ...member, on })}
                />
                {children}
                {!disabled && (
                    <>
                        <MoveButton what={name} way="up" onClick={acts.up} />
                        <MoveButton what={name} way="down" onClick={acts.down} />
                        <RemoveButton label={`Remove ${name}`} onClick={acts.remove} />
                    </>
                )}
            </div>
            {below}
            <FindingsAt pointer={at} />
            {error && (
                <p className="alarm" role="alert">
                    {error}
                </p>
            )}
        </li>
    );
}
