<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Routing\Happening\CallbackTaken;
use Meandros\Core\Routing\Happening\MessageTaken;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Trace;

/**
 * How calls fare, whenever they come in: what callers and whoever could answer notice, second by second. What fills blanks is
 * no part of it, nor is the label that is shown, nor at which second something happens after the caller has hung up.
 */
final readonly class Course
{
    /** Equal for two courses exactly when calls fare the same. */
    public string $key;
    public Reach $reach;
    /** @var list<string> who is rung, which queue is waited in, and who or what ends the call, by id or number, in order */
    public array $takes;
    /** @var list<string> prompts that callers hear, by id, in order */
    public array $hears;
    /** @var list<string> people whose phones ring, by id */
    public array $people;

    /** @param Trace $trace of one such call */
    public function __construct(public Trace $trace)
    {
        $this->reach = Reach::of($trace);
        $this->takes = self::takes($trace);
        $this->hears = self::hears($trace);
        $this->people = array_values(
            array_unique(
                array_filter(
                    array_map(
                        static fn(Rung $rung): ?string => null === $rung->times->rings
                            ? null
                            : $rung->phone->owner->person,
                        $trace->passage->rung,
                    ),
                ),
            ),
        );
        $this->key = hash('xxh128', serialize(self::noticed($trace)));
    }

    public function takenBy(): TakenBy
    {
        return new TakenBy($this->reach, $this->takes, $this->trace->ending->kind);
    }

    /** @return list<mixed> */
    private static function noticed(Trace $trace): array
    {
        $noticed = [];
        $isHungUp = false;
        foreach ($trace->passage->events as $event) {
            $what = $event->happening->noticed();
            unset($what['filled']);
            if ([] !== $what) {
                $noticed[] = [$isHungUp ? null : $event->second, $event->happening->kind(), $what];
            }
            $isHungUp = $isHungUp || $event->happening instanceof CallbackTaken;
        }

        return [$noticed, $trace->shown->tone, $trace->shown->note, $isHungUp ? null : $trace->seconds];
    }

    /** @return list<string> */
    private static function hears(Trace $trace): array
    {
        $heard = array_map(static function (Event $event): ?string {
            $what = $event->happening;

            return match (true) {
                $what instanceof Said => $what->prompt,
                $what instanceof Asked => $what->heard->prompt,
                $what instanceof MessageTaken => $what->greeting,
                default => null,
            };
        }, $trace->passage->events);

        return array_values(array_unique(array_filter($heard)));
    }

    /** @return list<string> */
    private static function takes(Trace $trace): array
    {
        $takes = [];
        foreach ($trace->passage->events as $event) {
            $happening = $event->happening;
            if ($happening instanceof QueueEntered && null === $happening->exit && null !== $happening->queue) {
                $takes[] = $happening->queue;
            } elseif ($happening instanceof Ringing && null === $happening->why->turn) {
                $rings =
                    [] !== array_filter($happening->rung, static fn(Rung $rung): bool => null !== $rung->times->rings);
                $rings && null !== $happening->target && ($takes[] = $happening->target->text());
            }
        }
        $last = $trace->ending->whom();
        null === $last || ($takes[] = $last);

        return array_values(array_unique($takes));
    }
}
