<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\GreetingFor;
use Meandros\Core\Routing\Happening\MessageTaken;

/** What a mailbox does, in words. */
final readonly class MailboxWords
{
    public function __construct(private Names $names) {}

    public function what(MessageTaken $taken): string
    {
        return match (true) {
            null === $taken->mailbox => 'Takes no message',
            $taken->isAnnouncement => \sprintf('Hears the announcement of %s', $this->names->of($taken->mailbox)),
            default => \sprintf('Leaves a message with %s', $this->names->of($taken->mailbox)),
        };
    }

    public function because(MessageTaken $taken): string
    {
        if (null === $taken->mailbox) {
            return 'No mailbox is chosen.';
        }
        $words = [$this->greeting($taken) . BlankWords::of($taken->greeted->heard->filled ?? [])];
        if ($taken->isAnnouncement) {
            $words[] = 'No message is taken.';
        } elseif (!$taken->beeps) {
            $words[] = 'No beep is heard.';
        }

        return implode(' ', $words);
    }

    private function greeting(MessageTaken $taken): string
    {
        if (null === $taken->greeted || null === $taken->greeting) {
            return $taken->isAnnouncement
                ? 'It has nothing to say.'
                : 'The mailbox has no greeting, so it records at once.';
        }
        $heard = \sprintf(
            'After “%s” of %s',
            $this->names->of($taken->greeting),
            Duration::words($taken->greetingSeconds),
        );

        return match ($taken->greeted->for) {
            GreetingFor::Usual => \sprintf(
                'After its greeting “%s” of %s.',
                $this->names->of($taken->greeting),
                Duration::words($taken->greetingSeconds),
            ),
            GreetingFor::Rule => $heard . ', which the answering rule plays in place of its greeting.',
            GreetingFor::Busy => $heard . ', its greeting while who was rung is busy.',
            GreetingFor::Unreachable => $heard . ', its greeting where nobody can be reached.',
            GreetingFor::Away => \sprintf(
                '%s, its greeting until %s.',
                $heard,
                str_replace('T', ' at ', (string) $taken->until),
            ),
            GreetingFor::Name => $heard . ', its name: it has no greeting.',
        };
    }
}
