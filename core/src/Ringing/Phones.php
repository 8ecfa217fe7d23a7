<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\RuleStage;

/** The phones of a plan as they ring, each made once: the same ones ring in call after call. */
final class Phones
{
    /** @var array<string, array<string, RingPhone>> by person and phone */
    private array $asIs = [];
    /** @var array<string, array<string, RingPhone>> by person and phone: those that are asked whatever the phone itself says */
    private array $asked = [];
    /** @var array<string, array<string, array<int, list<RingStage>>>> by person and rule, and whether all are asked */
    private array $stages = [];

    public function __construct(private readonly Lines $lines) {}

    public function of(Person $person, Phone $phone, bool $askFirst): RingPhone
    {
        if ($askFirst) {
            return $this->asked[$person->id()][$phone->id] ??= RingPhone::of(
                $person,
                $phone,
                true,
                $this->isMobile($phone),
            );
        }

        return $this->asIs[$person->id()][$phone->id] ??= RingPhone::of(
            $person,
            $phone,
            false,
            $this->isMobile($phone),
        );
    }

    /**
     * The stages of an answering rule, without the teams that ring in them.
     *
     * @return list<RingStage>
     */
    public function stages(Person $person, AnsweringRule $rule, bool $askFirst): array
    {
        return $this->stages[$person->id()][$rule->id][$askFirst ? 1 : 0] ??= array_map(
            fn(RuleStage $stage): RingStage => new RingStage(
                $stage->after,
                $stage->seconds,
                array_map(fn(string $id): RingPhone => $this->named($person, $id, $askFirst), $stage->phones),
            ),
            $rule->ringing->stages,
        );
    }

    private function named(Person $person, string $id, bool $askFirst): RingPhone
    {
        $phone = $person->phone($id);
        \assert(null !== $phone, 'Rules name phones that are there.');

        return $this->of($person, $phone, $askFirst);
    }

    /**
     * A number that belongs to nobody in the plan.
     *
     * @param string|null $site from which the call leaves
     */
    public function number(string $number, bool $askFirst, ?string $site): RingPhone
    {
        return RingPhone::number($number, $askFirst, $site, $this->lines->isMobile($number));
    }

    private function isMobile(Phone $phone): bool
    {
        return null !== $phone->number() && $this->lines->isMobile($phone->number());
    }
}
