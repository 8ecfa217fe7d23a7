<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Directory\Stop;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Routing\Happening\NameSpelled;
use Meandros\Core\Routing\Happening\NamesRead;

/** Names spelled on the keys, in words. */
final readonly class DirectoryWords
{
    private const MOST_NAMES = 5;

    public function __construct(private Names $names) {}

    public function what(NameSpelled|NamesRead $happening): string
    {
        if ($happening instanceof NamesRead) {
            return match (true) {
                null !== $happening->chosen => \sprintf(
                    'Presses %s for %s',
                    $happening->key,
                    $this->names->of($happening->chosen),
                ),
                null === $happening->key => 'Hears names and presses nothing',
                default => \sprintf('Hears names and presses %s', $happening->key),
            };
        }
        $search = $happening->search;

        return match (true) {
            null === $search => \sprintf('Spells nothing for %s', Duration::words($happening->seconds)),
            '0' === $search->typed => 'Presses 0',
            [] === $search->people => \sprintf('Presses %s, and nobody is found', $search->typed),
            1 === \count($search->people) => \sprintf('Presses %s for %s', $search->typed, $search->people[0]->name()),
            default => \sprintf('Presses %s, which %d people have', $search->typed, \count($search->people)),
        };
    }

    public function because(NameSpelled|NamesRead $happening): string
    {
        if ($happening instanceof NamesRead) {
            $more = 0 === $happening->more ? '' : \sprintf(' %d more begin so and are not read out.', $happening->more);

            return \sprintf(
                '%s are read out within %s.%s',
                implode(', ', array_map($this->names->of(...), $happening->people)),
                Duration::words($happening->seconds),
                $more,
            );
        }
        $try = \sprintf('Try %d of %d.', $happening->try, $happening->step->asks->tries);
        $names = implode(
            ', ',
            array_map(
                static fn(Person $person): string => $person->name(),
                \array_slice($happening->search->people ?? [], 0, self::MOST_NAMES),
            ),
        );

        return trim(
            match ($happening->search?->stop) {
                null => 'No key was pressed. ',
                Stop::Hash => '# ends the name. ',
                Stop::One => '0' === $happening->search->typed ? '' : 'Nobody else is spelled so. ',
                Stop::Letters => 'These letters are enough. ',
                Stop::Nobody => 'Nobody who may be reached here is spelled so. ',
                Stop::Silence => \sprintf(
                    '%s more came for a while. ',
                    1 === \strlen($happening->search->typed) ? 'No key' : 'No keys',
                ),
            } .
                (\count($happening->search->people ?? []) > 1 ? $names . '. ' : '') .
                $try,
        );
    }
}
