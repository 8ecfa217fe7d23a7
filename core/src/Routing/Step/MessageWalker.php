<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\GreetingFor;
use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\Exits;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Routing\Answering\HandOver;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\MessageTaken;
use Meandros\Core\Routing\KeysMeanwhile;
use Meandros\Core\Routing\MailboxGreeted;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Time\Moment;
use Meandros\Core\Value\Lists;

final class MessageWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof MessageStep);
        $mailbox = $walk->plan->get(Mailbox::class, $step->mailbox);
        if (null === $mailbox) {
            $walk->note(new MessageTaken(null, null, 0));

            return Onward::next();
        }

        return self::leave($mailbox, $walk, null, $step->exits());
    }

    /**
     * @param string|null $greeting a prompt in place of the mailbox's own
     * @param Exits       $exits    by keys that are pressed during the greeting; they come before the mailbox's own keys
     *
     * @throws CallOver
     */
    public static function leave(
        Mailbox $mailbox,
        Walk $walk,
        ?string $greeting = null,
        Exits $exits = new Exits(),
    ): Onward {
        [$prompt, $for] = null === $greeting ? self::greeting($mailbox, $walk) : [$greeting, GreetingFor::Rule];
        $owner = $walk->plan->find($mailbox->owners[0] ?? null);
        $heard = $walk->hear($walk->plan->get(Prompt::class, $prompt), $owner?->name() ?? $mailbox->name());
        $start = $walk->second();
        $keys = $mailbox->keys;
        $skip = $mailbox->messages->taken ? $keys->skip : null;
        $own = array_diff([(string) $skip, (string) $keys->leave, $keys->listen], ['']);
        $onward = (new KeysMeanwhile($walk))->during(
            0 === $heard->seconds ? [] : [...$exits->keys(), ...array_values($own)],
            static function () use ($walk, $heard): Onward {
                $walk->listen($heard);

                return Onward::next();
            },
            0,
        );
        $pressed = $onward->exit;

        return match (true) {
            null !== $pressed && Lists::has($exits->keys(), $pressed) => $onward,
            null !== $pressed && $pressed === $keys->listen => Onward::end(
                new Ending(EndingKind::Listens, $mailbox->id()),
            ),
            null !== $pressed && $pressed === $keys->leave => null === $keys->leaveTo
                ? Onward::next()
                : (new HandOver($walk))->out($keys->leaveTo),
            default => self::over($mailbox, $walk, new MailboxGreeted($heard, $for, $start), null !== $pressed),
        };
    }

    /** @param bool $isCut whether the caller did not hear the greeting to its end */
    private static function over(Mailbox $mailbox, Walk $walk, MailboxGreeted $greeted, bool $isCut): Onward
    {
        $walk->note(
            new MessageTaken($mailbox, $greeted, $walk->second() - $greeted->since),
            $isCut ? null : $greeted->since,
        );

        return Onward::end(
            new Ending($mailbox->messages->taken ? EndingKind::Message : EndingKind::Announcement, $mailbox->id()),
        );
    }

    /** @return array{string|null, GreetingFor} */
    private static function greeting(Mailbox $mailbox, Walk $walk): array
    {
        $away = $mailbox->greetings->away;
        $isAway = null !== $away && !$walk->hasPassed(Moment::parse($away->until, self::zone($mailbox, $walk)));

        return $mailbox->greetings->heard($walk->lastRinging()?->exit, $isAway);
    }

    /** That of its first owner's site, else of the site where the call came in. */
    private static function zone(Mailbox $mailbox, Walk $walk): string
    {
        $owner = $walk->plan->get(Person::class, $mailbox->owners[0] ?? null);

        return $walk->plan->zoneOf($owner->site ?? $walk->arrival()->at->site);
    }
}
