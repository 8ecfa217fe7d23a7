<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Script\Understood;

/** What callers press and say at menus, in words. */
final readonly class MenuWords
{
    public function __construct(private Names $names) {}

    public function what(Asked $asked): string
    {
        return match ($asked->kind()) {
            'nothing pressed' => \sprintf('Presses nothing for %s', Duration::words($asked->menu->asks->waitSeconds)),
            'word said', 'not understood' => self::said($asked),
            'key pressed' => \sprintf(self::dials($asked) ? 'Dials %s' : 'Presses %s', $asked->pressed->key),
            default => \sprintf(
                '%s %s, which leads nowhere',
                self::dials($asked) ? 'Dials' : 'Presses',
                $asked->pressed->key,
            ),
        };
    }

    /** The same within a sentence. */
    public function clause(Asked $asked): string
    {
        return match (true) {
            $asked->pressed->isNothing() => \sprintf(
                'presses nothing at “%s”',
                $this->names->of($asked->heard->prompt),
            ),
            default => lcfirst($this->what($asked)),
        };
    }

    public function because(Asked $asked): string
    {
        [$heard, $at] = [$asked->heard, $asked->pressed->at];
        $prompt = \sprintf('“%s” of %s', $this->names->of($heard->prompt), Duration::words($heard->seconds));
        $when = match (true) {
            null === $heard->prompt => 'No prompt is chosen',
            null !== $at && $at < $heard->seconds => \sprintf('%s into %s', Duration::words($at), $prompt),
            null !== $at && $at > $heard->seconds => \sprintf(
                '%s after %s',
                Duration::words($at - $heard->seconds),
                $prompt,
            ),
            default => 'After ' . $prompt,
        };
        $more =
            0 === $asked->pressed->more
                ? ''
                : \sprintf(' It takes %s in which more digits may follow.', Duration::words($asked->pressed->more));

        return \sprintf(
            '%s; try %d of %d.%s%s%s',
            $when,
            $asked->try,
            $asked->menu->asks->tries,
            $more,
            BlankWords::of($heard->filled),
            self::understood($asked->pressed->said),
        );
    }

    private static function dials(Asked $asked): bool
    {
        return \strlen((string) $asked->pressed->key) > 1;
    }

    private static function said(Asked $asked): string
    {
        $said = $asked->pressed->said;

        return match (true) {
            null === $said?->key => \sprintf('Says “%s”, which is not understood', $said?->said),
            $asked->pressed->known => \sprintf('Says “%s”, as if %s was pressed', $said->said, $said->key),
            default => \sprintf('Says “%s”, which leads nowhere', $said->said),
        };
    }

    private static function understood(?Understood $said): string
    {
        return match (true) {
            null === $said => '',
            null === $said->key => ' None of the words in the language of the call is near enough.',
            0 === $said->letters && !$said->isAmong => \sprintf(
                ' “%s” is one of the words for key %s.',
                $said->word,
                $said->key,
            ),
            0 === $said->letters => \sprintf(' “%s” is among it, a word for key %s.', $said->word, $said->key),
            default => \sprintf(
                ' It differs from “%s”, a word for key %s, in %s.',
                $said->word,
                $said->key,
                1 === $said->letters ? 'one letter' : 'two letters',
            ),
        };
    }
}
