<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\DialScope;
use Meandros\Core\Plan\Step\DirectoryStep;
use Meandros\Core\Plan\Step\MenuDialling;
use Meandros\Core\Plan\Step\MenuStep;

/**
 * A menu at which extensions may be dialled, or a directory, of nobody.
 *
 * @implements Check<Journey>
 */
final class DialsNobody implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            $dial = $step instanceof MenuStep || $step instanceof DirectoryStep ? $step->dial : null;
            if (null !== $dial && self::isOfNobody($dial, $survey->plan)) {
                $fix =
                    $step instanceof MenuStep
                        ? Fix::replace($element, $place . '/dial', null)
                        : Fix::replace($element, $place . '/dial/scope', DialScope::Everybody->value);
                yield Finding::warning(
                    $element,
                    $place . '/dial',
                    $step instanceof MenuStep ? 'dials-nobody' : 'finds-nobody',
                    [],
                    $fix,
                );
            }
        }
    }

    private static function isOfNobody(MenuDialling $dial, Plan $plan): bool
    {
        return match ($dial->scope) {
            DialScope::Everybody => false,
            DialScope::Site => !$plan->isMentioned((string) $dial->site, Kind::Person),
            DialScope::Some => [] === $dial->people,
        };
    }
}
