<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\MessageTaken;
use Meandros\Core\Routing\Happening\NoticeSent;
use Meandros\Core\Routing\Trace;

/** The e-mails that a call sends, as they would be read. */
final class Letters
{
    /** What a caller says in a trial call, by language. */
    private const TRIAL = [
        'en' => 'This is a trial message. Nobody has spoken it.',
        'fr' => 'Ceci est un message d’essai. Personne ne l’a prononcé.',
    ];

    /**
     * @param string $zone for writing instants
     *
     * @return list<Letter> in the order in which they are sent
     */
    public static function of(Trace $trace, Plan $plan, string $zone): array
    {
        $letters = [];
        foreach ($trace->passage->events as $event) {
            if ($event->happening instanceof NoticeSent) {
                $letters[] = self::notice($event, $event->happening, $trace, new Names($plan), $zone);
            }
            $mailbox =
                $event->happening instanceof MessageTaken
                    ? $plan->get(Mailbox::class, $event->happening->mailbox)
                    : null;
            if (null !== $mailbox && $mailbox->messages->taken && [] !== $mailbox->messages->notify) {
                $letters[] = self::message($event, $mailbox, $trace, new Names($plan), $zone);
            }
        }

        return $letters;
    }

    private static function notice(Event $event, NoticeSent $notice, Trace $trace, Names $names, string $zone): Letter
    {
        $queue = $names->of($notice->queue);
        $waited = Duration::words($notice->seconds);
        $text = implode("\n", [
            \sprintf('Somebody has waited in %s for %s, which is the longest that is tolerated.', $queue, $waited),
            '',
            ...self::about($event, $trace, $names, $zone),
            '',
        ]);

        return new Letter($event->second, $notice->to, \sprintf('Waiting in %s for %s', $queue, $waited), $text);
    }

    /** There is no telephone here: what would be the message is said by the machine voice, and so it says. */
    private static function message(Event $event, Mailbox $mailbox, Trace $trace, Names $names, string $zone): Letter
    {
        $words = self::TRIAL[$trace->shown->language] ?? self::TRIAL['en'];
        $text = implode("\n", [
            \sprintf('Somebody has left a message with %s.', $mailbox->name()),
            '',
            ...self::about($event, $trace, $names, $zone),
            '',
            ...$mailbox->messages->transcript
                ? ['What is said, written down by the stand-in for a speech service:', '“' . $words . '”', '']
                : [],
            $mailbox->messages->withSound
                ? 'The message comes with this e-mail.'
                : 'Listen to it in the mailbox: the message does not come with this e-mail.',
            '',
        ]);

        return new Letter(
            $event->second,
            $mailbox->messages->notify,
            \sprintf('Message for %s', $mailbox->name()),
            $text,
            $mailbox->messages->withSound
                ? [
                    'words' => $words,
                    'language' => isset(self::TRIAL[$trace->shown->language]) ? $trace->shown->language : 'en',
                ]
                : null,
        );
    }

    /** @return list<string> */
    private static function about(Event $event, Trace $trace, Names $names, string $zone): array
    {
        $call = $trace->call;
        $from = str_starts_with($call->caller->text, '+') ? $names->of($call->caller->text) : $call->caller->text;

        return [
            \sprintf('Call for: %s', $trace->shown->label),
            \sprintf('Dialled: %s', $names->of($call->dialled)),
            \sprintf('From: %s', $from),
            \sprintf('At: %s', When::instant($call->instant + $event->second, $zone)),
        ];
    }
}
