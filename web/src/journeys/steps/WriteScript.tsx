import { useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, ask } from '../../api/client';
import type { Prompt } from '../../api/types';
import { useEdit } from '../../plan/useEdit';
import { bodyOf, usePlan } from '../../plan/usePlan';
import { useWrite } from '../../plan/writes';
import type { StepOf } from './module';

/** Writes the script of a menu's prompt from its keys, in every language that it has. Undo brings the old one back. */
export function WriteScript({ step }: { step: StepOf<'menu'> }) {
    const { id: journey } = useParams();
    const plan = usePlan();
    const { save } = useEdit();
    const told = useWrite();
    const queries = useQueryClient();
    const { message } = App.useApp();
    const [busy, setBusy] = useState(false);
    const prompt = plan?.get('prompt', step.prompt);
    if (!prompt || !journey) return null;
    const write = async () => {
        setBusy(true);
        await told(async () => {
            const params = { path: { which: 'draft', journey, step: step.id } };
            const { scripts } = await ask(
                api.GET('/api/plans/{which}/journeys/{journey}/menus/{step}/script', { params }),
            );
            const whole = (await bodyOf(queries, prompt.id)) as Prompt;
            await save({ ...whole, scripts: { ...whole.scripts, ...scripts } });
            message.info(`“${prompt.name}” now says: ${Object.values(scripts)[0] ?? 'what it said'}`);
        });
        setBusy(false);
    };
    return (
        <p className="write-script">
            <Button size="small" loading={busy} onClick={write}>
                Write the script from the keys
            </Button>{' '}
            <span className="quiet">“{Object.values(prompt.scripts)[0] || 'no words yet'}”</span>
        </p>
    );
}
