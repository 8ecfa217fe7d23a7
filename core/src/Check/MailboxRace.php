<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Ringing\OutsidePhone;

/**
 * A phone outside whose own mailbox can take a call of the company: it answers while the phone still rings, before the step's
 * greeting does, or at once when the phone is off. Somebody who is asked first cannot be a mailbox.
 *
 * @implements Check<Person>
 */
final class MailboxRace implements Check
{
    public function looksAt(): array
    {
        return [Person::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $phones = array_filter(
            $element->reach->phones,
            static fn(Phone $phone): bool => $phone->manner->on &&
                !$phone->manner->askFirst &&
                null !== $phone->outside?->ownMailbox,
        );
        if ([] === $phones) {
            return;
        }
        $rings = self::whatRings($element, $survey);
        foreach ($phones as $i => $phone) {
            $ofPhone = [...$rings[''] ?? [], ...$rings[$phone->id] ?? []];
            if ([] !== $ofPhone && null !== $phone->outside) {
                $isMobile = $survey->lines->isMobile($phone->outside->number);
                $outside = OutsidePhone::of($phone->outside, $phone->manner->confirm, $isMobile);
                yield self::finding($element, $i, $phone->label, $outside, $ofPhone);
            }
        }
    }

    /** @return array<string, list<Rings>> by phone; under no name what rings all of them */
    private static function whatRings(Person $person, Survey $survey): array
    {
        $rings = ['' => $survey->stepsThatRing($person)];
        foreach ($survey->plan->mentioning($person->id(), Kind::Team) as $team) {
            foreach ($team instanceof Team ? $team->members : [] as $member) {
                if (
                    $team instanceof Team &&
                    $member->who->element === $person->id() &&
                    $member->on &&
                    !$member->askFirst
                ) {
                    foreach ($survey->stepsThatRing($team) as $step) {
                        $rings[$member->who->phone ?? ''][] = $step->during(self::turn($team, $member, $step->seconds));
                    }
                }
            }
        }
        foreach ($person->reach->rules as $rule) {
            foreach ($rule->term->on ? $rule->ringing->stages : [] as $stage) {
                foreach ($stage->phones as $phone) {
                    $rings[$phone][] = new Rings($rule->name, $stage->seconds, null);
                }
            }
        }

        return $rings;
    }

    /** @param non-empty-list<Rings> $rings what rings the phone */
    private static function finding(Person $person, int $i, string $label, OutsidePhone $outside, array $rings): Finding
    {
        $longest = $greets = null;
        foreach ($rings as $one) {
            $longest = $one->seconds > ($longest->seconds ?? -1) ? $one : $longest;
            $greets = ($one->greetsAfter() ?? -1) > ($greets?->greetsAfter() ?? -1) ? $one : $greets;
        }
        $longest ??= $rings[0];
        $answers = $outside->setUp + (int) $outside->mailbox?->after;
        $code = match (true) {
            ($greets?->greetsAfter() ?? -1) >= $answers => 'mailbox-before-greeting',
            $longest->seconds > $answers => 'mailbox-while-ringing',
            true === $outside->mailbox?->whenBusy => 'mailbox-when-busy',
            default => 'mailbox-when-off',
        };
        $arguments = [
            'phone' => $label,
            'answers' => $answers,
            'by' => $longest->by,
            'in' => null === $longest->step ? 'rule' : 'journey',
            'seconds' => $longest->seconds,
            'greeter' => $greets->by ?? '',
            'greets' => $greets?->greetsAfter() ?? 0,
        ];

        return Finding::warning(
            $person,
            '/phones/' . $i,
            $code,
            $arguments,
            Fix::replace($person, \sprintf('/phones/%d/askFirst', $i), true),
        );
    }

    /** How long a member rings at most. */
    private static function turn(Team $team, TeamMember $member, int $seconds): int
    {
        $left = max(0, $seconds - $team->order->joinsAfter($member));

        return min(
            $left,
            $member->seconds ?? ($team->order->pattern->isInTurn() ? $team->order->memberSeconds : $left),
        );
    }
}
