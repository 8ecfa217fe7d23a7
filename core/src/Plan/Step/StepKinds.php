<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** The kinds of step by the word that stands in "do". */
final class StepKinds
{
    /** @var array<string, class-string<Step>> */
    public const CLASSES = [
        'say' => SayStep::class,
        'hours' => HoursStep::class,
        'caller' => CallerStep::class,
        'menu' => MenuStep::class,
        'directory' => DirectoryStep::class,
        'ring' => RingStep::class,
        'queue' => QueueStep::class,
        'tag' => TagStep::class,
        'message' => MessageStep::class,
        'forward' => ForwardStep::class,
        'park' => ParkStep::class,
        'fax' => FaxStep::class,
        'again' => AgainStep::class,
        'go' => GoStep::class,
        'end' => EndStep::class,
    ];

    public static function read(Input $in): ?Step
    {
        $do = $in->field('do')->exactText(20);
        $class = self::CLASSES[$do] ?? null;
        if (null === $class) {
            $in->field('do')->complain('not-a-step', [
                'step' => Input::quote($do),
                'choices' => array_keys(self::CLASSES),
            ]);

            return null;
        }

        return $class::fromJson($in);
    }
}
