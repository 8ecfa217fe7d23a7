<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/**
 * What happened, as data; put into words elsewhere.
 *
 * @phpstan-sealed Asked|AskedAgain|CallerToldApart|CodeDialled|ComesBackIn|Dialled|ExtensionDialled|FaxLookedFor|HoursRead|KeyMeanwhile|MessageTaken|NameSpelled|NamesRead|Over|ParkedAt|QueueHappening|Ringing|Said|SentOn|Tagged|TriesAgain|Went
 */
interface Happening
{
    public function kind(): string;

    /** @return array<string, mixed> what happened */
    public function what(): array;

    /** @return array<string, mixed> why */
    public function because(): array;

    /** @return array<string, mixed> what the caller, or anybody who could answer, notices of it; empty for nothing */
    public function noticed(): array;
}
