<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\NoticeSent;
use Meandros\Core\Routing\Trace;

/** The e-mails that a call sends, as they would be read. */
final class Letters
{
    /**
     * @param string $zone for writing instants
     *
     * @return list<Letter> in the order in which they are sent
     */
    public static function of(Trace $trace, Plan $plan, string $zone): array
    {
        $letters = [];
        foreach ($trace->events as $event) {
            if ($event->happening instanceof NoticeSent) {
                $letters[] = self::notice($event, $event->happening, $trace, new Names($plan), $zone);
            }
        }

        return $letters;
    }

    private static function notice(Event $event, NoticeSent $notice, Trace $trace, Names $names, string $zone): Letter
    {
        $queue = $names->of($notice->queue);
        $waited = Duration::words($notice->seconds);
        $call = $trace->call;
        $from = str_starts_with($call->caller->text, '+') ? $names->of($call->caller->text) : $call->caller->text;
        $text = implode("\n", [
            \sprintf('Somebody has waited in %s for %s, which is the longest that is tolerated.', $queue, $waited),
            '',
            \sprintf('Call for: %s', $trace->shown->label),
            \sprintf('Dialled: %s', $names->of($call->dialled)),
            \sprintf('From: %s', $from),
            \sprintf('At: %s', When::instant($call->instant + $event->second, $zone)),
            '',
        ]);

        return new Letter($event->second, $notice->to, \sprintf('Waiting in %s for %s', $queue, $waited), $text);
    }
}
