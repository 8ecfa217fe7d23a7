<?php

declare(strict_types=1);

namespace Meandros\Server\Sound;

use Doctrine\DBAL\Connection;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\MachineReading;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Sound;
use Meandros\Core\Plan\Plan;

/** The voice that reads scripts for which there is no take. What it has read once it keeps. */
final readonly class MachineVoice
{
    /** For scripts of a whole plan; what is left is read when its prompt is next saved or listened to. */
    private const MOST_SECONDS = 15.0;

    public function __construct(private Connection $database, private Sounds $sounds, private Speech $speech) {}

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

    /** The same plan, with its scripts read: those that are new to the machine as far as there is time for them. */
    public function withAll(Plan $plan): Plan
    {
        $read = [];
        $end = microtime(true) + self::MOST_SECONDS;
        foreach ($plan->all(Prompt::class) as $prompt) {
            if (microtime(true) > $end) {
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
        foreach ($element->scripts as $language => $script) {
            $sound = '' === $script ? null : $this->read($script, $language);
            if (null !== $sound) {
                $machine[$language] = new MachineReading($sound, $script);
            }
        }

        return $element->withSounds($element->sounds->withMachine($machine));
    }
}
