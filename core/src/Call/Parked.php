<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** What becomes of a call that is parked: who takes it and when, and which places are taken already. */
final readonly class Parked
{
    /**
     * @param int|null     $takenAfter seconds; null where nobody takes it
     * @param string|null  $by         the person who does
     * @param list<string> $taken      places at which other calls wait
     */
    public function __construct(public ?int $takenAfter = null, public ?string $by = null, public array $taken = []) {}

    /** @return array{takenAfter: int|null, by: string|null, taken: list<string>} */
    public function toJson(): array
    {
        return ['takenAfter' => $this->takenAfter, 'by' => $this->by, 'taken' => $this->taken];
    }

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields(['takenAfter', 'by', 'taken']);

        return new self(
            $in->field('takenAfter')->optionalWhole(0, TrialCall::MOST_SECONDS, 'seconds'),
            $in->field('by')->reference(),
            array_map(
                static fn(Input $item): string => $item->exactText(6),
                $in->field('taken')->items(Limits::PARK_PLACES),
            ),
        );
    }
}
