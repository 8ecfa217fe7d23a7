<?php

declare(strict_types=1);

namespace Meandros\Core\Recording;

use Meandros\Core\Plan\Element\Prompt;

use Meandros\Core\Plan\Element\ScriptPart;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\PlainLetters;

/**
 * How files of recordings are named, so that they find their prompts: the caption in plain letters and the language, such
 * as "public-holiday.en"; the second part of a script with blanks is "public-holiday-part-2.en". Captions that look alike then are told apart by a number, in the order of their ids.
 */
final readonly class FileNames
{
    /** @param array<string, array{string, ScriptPart}> $names a prompt's id and the part of its script, by name */
    private function __construct(private array $names) {}

    public static function of(Plan $plan): self
    {
        $prompts = $plan->all(Prompt::class);
        usort($prompts, static fn(Prompt $a, Prompt $b): int => $a->id() <=> $b->id());
        $names = $stems = [];
        foreach ($prompts as $prompt) {
            $stem = $plain = self::plain($prompt->name());
            for ($i = 2; isset($stems[$stem]); ++$i) {
                $stem = $plain . '-' . $i;
            }
            $stems[$stem] = true;
            foreach ($prompt->languages() as $language) {
                foreach ($prompt->scriptParts($language) as $part) {
                    $which = 1 === $part->number ? '' : '-part-' . $part->number;
                    $names[$stem . $which . '.' . $language] = [$prompt->id(), $part];
                }
            }
        }

        return new self($names);
    }

    /** @return array<string, array<string, string>> by prompt and the part of its script */
    public function byPrompt(): array
    {
        $files = [];
        foreach ($this->names as $name => [$prompt, $part]) {
            $files[$prompt][$part->key()] = $name;
        }

        return $files;
    }

    /**
     * @param string $file as it came in: folders and the ending do not count, nor do capitals, accents and spaces
     *
     * @return array{string, ScriptPart}|null the prompt and the part of its script
     */
    public function find(string $file): ?array
    {
        $base = basename(str_replace('\\', '/', $file));
        $base = (string) preg_replace('/\.[A-Za-z0-9]{2,4}$/D', '', $base);
        if (1 !== preg_match('/^(.*)[. _-]([A-Za-z]{2})$/Du', $base, $part)) {
            return null;
        }

        return $this->names[self::plain($part[1]) . '.' . strtolower($part[2])] ?? null;
    }

    private static function plain(string $text): string
    {
        $plain = PlainLetters::joined($text, '-');

        return '' === $plain ? 'prompt' : substr($plain, 0, 60);
    }
}
