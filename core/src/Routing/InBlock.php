<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Target;

/** Where a number leads that is one of a block, or of all that begin alike. */
final readonly class InBlock
{
    /**
     * @param string      $number    that was dialled, E.164
     * @param string|null $extension that it is for; null where it is for none
     * @param bool        $isFree    whether nobody has that extension
     */
    private function __construct(
        public string $number,
        public ?string $extension,
        public bool $isFree,
        public ?Target $target,
    ) {}

    /** Null for a number that stands alone. */
    public static function of(Plan $plan, Number $number, string $dialled): ?self
    {
        if (!$number->range->isMany()) {
            return null;
        }
        $extension = $number->range->block?->extensionOf($dialled);
        $person = null === $extension ? null : $plan->dialled($extension);
        $isTaken = $person instanceof Person;

        return new self(
            $dialled,
            $extension,
            null !== $extension && !$isTaken,
            $isTaken ? Target::element($person->id()) : $number->target,
        );
    }

    /** @return array{number: string, extension: string|null, free: bool} */
    public function toJson(): array
    {
        return ['number' => $this->number, 'extension' => $this->extension, 'free' => $this->isFree];
    }
}
