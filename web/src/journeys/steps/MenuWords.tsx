import { Select } from 'antd';
import type { Step } from '../../api/types';
import { usePlan } from '../../plan/usePlan';
import { languageName } from '../../ui/LanguageSelect';
import { KEYS } from './keys';
import type { StepOf } from './module';
import styles from './steps.module.css';

type Menu = StepOf<'menu'>;
type Word = Menu['words'][number];

/** Words that callers may say instead of pressing a key, in every language of the prompt. */
export function MenuWords({ step, onChange }: { step: Menu; onChange: (step: Step) => void }) {
    const prompt = usePlan()?.get('prompt', step.prompt);
    const languages = [
        ...new Set([...Object.keys(prompt?.scripts ?? { en: '' }), ...step.words.map((word) => word.language)]),
    ];
    const exits = step.exits.filter((exit) => (KEYS as readonly string[]).includes(exit.on));
    const set = (on: Word['on'], language: string, say: string[]) => {
        const others = step.words.filter((word) => word.on !== on || word.language !== language);
        onChange({ ...step, words: say.length === 0 ? others : [...others, { on, language, say }] });
    };
    if (exits.length === 0) return null;
    return (
        <details className={styles.block} open={step.words.length > 0}>
            <summary>Words that callers may say instead</summary>
            <table className={styles.table}>
                <thead>
                    <tr>
                        <th scope="col">Key</th>
                        {languages.map((language) => (
                            <th key={language} scope="col">
                                in {languageName(language)}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {exits.map((exit) => (
                        <tr key={exit.on}>
                            <th scope="row">
                                {exit.on} {exit.label && <span className="quiet">{exit.label}</span>}
                            </th>
                            {languages.map((language) => (
                                <td key={language}>
                                    <Select
                                        aria-label={`Words for key ${exit.on} in ${languageName(language)}`}
                                        mode="tags"
                                        size="small"
                                        open={false}
                                        suffixIcon={null}
                                        tokenSeparators={[',', ';']}
                                        style={{ minWidth: 180 }}
                                        placeholder="none: type a word, then Enter"
                                        value={wordsOf(step, exit.on, language)}
                                        onChange={(say) => set(exit.on as Word['on'], language, say)}
                                    />
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </details>
    );
}

const wordsOf = (step: Menu, on: string, language: string) =>
    step.words.find((word) => word.on === on && word.language === language)?.say ?? [];
