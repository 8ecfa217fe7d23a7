<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Mentions;
use Meandros\Core\Plan\Worded;

/** What follows from an element of the draft: tables by whose rows it is found. */
enum Following: string
{
    case Mentions = 'draft_mention';
    case Dialled = 'draft_dialled';
    case References = 'draft_reference';
    case Words = 'draft_worded';

    public function column(): string
    {
        return match ($this) {
            self::Mentions => 'mention',
            self::Dialled => 'dialled',
            self::References => 'target',
            self::Words => 'words',
        };
    }

    /** @return list<string> */
    public function by(Element $element): array
    {
        return match ($this) {
            self::Mentions => Mentions::by($element),
            self::Dialled => array_values(Dialled::by($element)),
            self::References => array_values(array_unique(array_column($element->references(), 'id'))),
            self::Words => Worded::plainly($element),
        };
    }

    /** @return list<self> what may be otherwise; none where an element is listed at the same place, too */
    public static function otherwise(?Element $before, ?Element $after): array
    {
        if (null === $before || null === $after) {
            return self::cases();
        }
        $changed = array_values(
            array_filter(self::cases(), static fn(self $one): bool => $one->by($before) !== $one->by($after)),
        );
        $isListedAlike = [$before->kind(), $before->name()] === [$after->kind(), $after->name()];

        return $isListedAlike && ([] === $changed || [self::Words] === $changed) ? $changed : self::cases();
    }
}
