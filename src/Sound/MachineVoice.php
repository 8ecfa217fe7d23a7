<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Doctrine\DBAL\Connection;
use Meandros\Core\Filling\Fillers;
use Meandros\Core\Filling\SampleFacts;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\MachineReading;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\ScriptPart;
use Meandros\Core\Plan\Element\Sound;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Patience;
use Meandros\Server\Storage\NotFound;

/** The voice that reads scripts for which there is no take. What it has read once it keeps. */
final readonly class MachineVoice
{
    /** For scripts of a whole plan; what is left is read when its prompt is next saved or listened to. */
    private const MOST_SECONDS = 15.0;
    /** Characters of what fills a blank, or is said without a prompt. */
    public const LONGEST = 300;

    public function __construct(
        private Connection $database,
        private Sounds $sounds,
        private Speech $speech,
        private Patience $patience,
    ) {}

    /** @return Sound|null null where it cannot read them */
    public function read(string $words, string $language): ?Sound
    {
        $key = [hash('sha256', $words), $language, $this->speech->name()];
        /** @var array{string, int|string}|false $known */
        $known = $this->database->fetchNumeric(
            'SELECT s.sha256, s.milliseconds FROM spoken p JOIN sound s USING (sha256) WHERE p.script = ? AND p.language = ? AND p.voice = ?',
            $key,
        );
        if (false !== $known) {
            return new Sound($known[0], (int) $known[1]);
        }
        $wav = $this->speech->speak($words, $language);
        if (null === $wav) {
            return null;
        }
        $sound = $this->sounds->keep($wav);
        $this->database->executeStatement(
            'INSERT INTO spoken (script, language, voice, sha256) VALUES (?, ?, ?, ?) ON CONFLICT DO NOTHING',
            [...$key, $sound->sha256],
        );

        return $sound;
    }

    /**
     * What callers hear of a prompt in a language: takes where there are any, else what this voice makes of it.
     *
     * @param array<string, string> $filled words by blank; those that are not named are filled with samples
     *
     * @throws NotFound where nothing is heard
     */
    public function heard(Prompt $prompt, string $language, array $filled): HeardSound
    {
        $script = $prompt->script($language);
        $filled += Fillers::fill($script, $language, new SampleFacts());
        $pieces = [];
        foreach ([] === $script->pieces ? $prompt->scriptParts($language) : $script->pieces as $piece) {
            $take = $piece instanceof ScriptPart ? $prompt->sounds->inUse($piece) : null;
            $words = $piece instanceof ScriptPart ? $piece->words : mb_substr($filled[$piece->value], 0, self::LONGEST);
            $sound = null === $take ? $this->read($words, $language) : $take->sound;
            if (null !== $sound) {
                $pieces[] = [$words, $sound, null !== $take];
            }
            if (null !== $take && null === $this->sounds->size($take->sound->sha256)) {
                throw new NotFound('The sound of this take is not here: bring it in again.');
            }
        }

        return [] === $pieces
            ? throw new NotFound('Nothing is heard of this prompt: write a script or record it.')
            : new HeardSound($language, $pieces);
    }

    /** The same plan, with its scripts read: those that are new to the machine as far as there is time for them. */
    public function withAll(Plan $plan): Plan
    {
        $read = [];
        $goOn = $this->patience->for(self::MOST_SECONDS);
        foreach ($plan->all(Prompt::class) as $prompt) {
            if (!$goOn()) {
                break;
            }
            $read[$prompt->id()] = $this->with($prompt);
        }

        return $plan->withAll($read);
    }

    /** The same element; of a prompt, with its scripts read. */
    public function with(Element $element): Element
    {
        if (!($element instanceof Prompt)) {
            return $element;
        }
        $machine = [];
        foreach (array_keys($element->scripts) as $language) {
            foreach ($element->script($language)->parts() as $part) {
                $sound = $this->read($part->words, $language);
                if (null !== $sound) {
                    $machine[$part->key()] = new MachineReading($sound, $part->words);
                }
            }
        }

        return $element->withSounds($element->sounds->withMachine($machine));
    }
}
