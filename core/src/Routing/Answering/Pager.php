<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\RingPhone;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

/** Pages a team: phones inside that are free answer by themselves, and everybody hears the caller. */
final readonly class Pager
{
    public function __construct(private Walk $walk)
    {
    }

    /** @param list<RingMember> $members */
    public function page(Team $team, array $members): Onward
    {
        $walk = $this->walk;
        $rung = [];
        foreach ($members as $member) {
            foreach ($member->phones as $phone) {
                $rung[] = new Rung($phone, $walk->second(), $walk->second(), $this->outcome($phone));
            }
        }
        $outcomes = array_map(static fn (Rung $one): string => $one->outcome, $rung);
        $exit = match (true) {
            \in_array(Rung::HEARS, $outcomes, true) => null,
            \in_array(Rung::BUSY, $outcomes, true) => RingStep::BUSY,
            default => RingStep::UNREACHABLE,
        };
        $walk->rang($rung);
        $walk->note(new Ringing($team->id(), $rung, 0, 0, $exit));

        return null === $exit ? Onward::end(new Ending(EndingKind::Announced, $team->id())) : Onward::by($exit);
    }

    private function outcome(RingPhone $phone): string
    {
        return match (true) {
            null !== $phone->kept => $phone->kept,
            null !== $phone->number => Rung::NOT_PAGED,
            default => match ($this->walk->assumptions->of($phone->names())->does) {
                Behaviour::Busy, Behaviour::OnACall => Rung::BUSY,
                Behaviour::Unreachable => Rung::UNREACHABLE,
                default => Rung::HEARS,
            },
        };
    }
}
