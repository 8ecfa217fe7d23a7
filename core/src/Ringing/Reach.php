<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Value\Lists;

/** What is assumed of phones: which can be dialled at all, and what becomes of one that is left to ring. */
final class Reach
{
    private readonly bool $isAnythingAssumed;
    /** @var array<string, PhoneAssumption> by phone */
    private array $assumed = [];
    /** @var array<int, Fate> of phones of which nothing is assumed, by when their own mailbox answers */
    private array $fates = [];

    /** @param Lines|null $lines null where it does not matter how calls leave */
    public function __construct(private readonly Assumptions $assumptions, private readonly ?Lines $lines)
    {
        $this->isAnythingAssumed = [] !== $assumptions->phones;
    }

    /** Why a phone is not even dialled; null when it is. */
    public function silence(RingPhone $phone): ?string
    {
        if (null !== $phone->manner->kept) {
            return $phone->manner->kept;
        }
        $does = $this->assumed($phone)->does;
        $outside = $phone->outside;
        $mailbox = $outside?->mailbox;

        return match (true) {
            // One that is busy or out of reach and has a mailbox of its own is dialled: the mailbox picks up.
            Behaviour::Busy === $does, Behaviour::OnACall === $does && $phone->manner->calls < 2 => true ===
            $mailbox?->whenBusy
                ? null
                : Rung::BUSY,
            $this->isDown($phone) => Rung::UNREACHABLE,
            Behaviour::Unreachable === $does => null !== $mailbox ? null : Rung::UNREACHABLE,
            null !== $this->lines &&
                null !== $outside &&
                [] === $this->lines->carriers($outside->number, $phone->owner->site)
                => Rung::NO_LINE,
            default => null,
        };
    }

    /** What a phone would do in an announcement. */
    public function whenPaged(RingPhone $phone): string
    {
        return match (true) {
            null !== $phone->manner->kept => $phone->manner->kept,
            null !== $phone->outside => Rung::NOT_PAGED,
            $this->isDown($phone) => Rung::UNREACHABLE,
            default => match ($this->assumed($phone)->does) {
                Behaviour::Busy, Behaviour::OnACall => Rung::BUSY,
                Behaviour::Unreachable => Rung::UNREACHABLE,
                default => Rung::HEARS,
            },
        };
    }

    /** @param int $rangBefore seconds for which it rang earlier in the call */
    public function fate(RingPhone $phone, int $rangBefore): Fate
    {
        if ($phone->manner->answersByItself) {
            return Fate::atOnce();
        }
        if ($this->isAnythingAssumed) {
            return Fate::of($phone, $this->assumed($phone), $rangBefore);
        }

        return $this->fates[$phone->outside->mailbox->after ?? -1] ??= Fate::of($phone, $this->assumed($phone));
    }

    /** Phones at a site that is down cannot be reached; those outside can. */
    private function isDown(RingPhone $phone): bool
    {
        return null === $phone->outside &&
            null !== $phone->owner->site &&
            Lists::has($this->assumptions->circumstances->sitesDown, $phone->owner->site);
    }

    private function assumed(RingPhone $phone): PhoneAssumption
    {
        return $this->assumed[$this->isAnythingAssumed ? $phone->id : ''] ??= $this->assumptions->of($phone->names());
    }
}
