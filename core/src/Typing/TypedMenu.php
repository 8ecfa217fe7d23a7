<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\StepExit;

/** Ask for a key; keys and what they are for follow: "1 Sales 2 Freight". */
final class TypedMenu implements TypedKind
{
    public function begins(): string
    {
        return 'menu';
    }

    public function example(): string
    {
        return 'menu …';
    }

    public function read(Line $line): ?array
    {
        $prompt = $line->name([Kind::Prompt], ['[0-9*#]', 'wait', '\\d+ (?:tries|try)']);
        if (null === $prompt) {
            return null;
        }
        $menu = ['do' => 'menu', 'prompt' => $prompt];
        $wait = $line->take('wait (\\d{1,2}) ?s');
        $tries = $line->take('(\\d{1,2}) (?:tries|try)');
        $exits = [];
        while (null !== ($key = $line->take('([0-9*#])(?= |$)'))) {
            $label = preg_match('/^ +(?![0-9*#](?: |$))(.+?)(?= +[0-9*#](?: |$)|$)/u', $line->rest(), $found)
                ? $found[1]
                : '';
            '' === $label || $line->take(preg_quote($label, '/'));
            $exits[] = ['on' => $key[1], 'label' => trim($label, ' ,'), 'steps' => []];
        }

        return $menu +
            (null === $wait ? [] : ['wait' => (int) $wait[1]]) +
            (null === $tries ? [] : ['tries' => (int) $tries[1]]) + ['exits' => $exits];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        if (!($step instanceof MenuStep)) {
            return null;
        }
        $keys = array_map(
            static fn(StepExit $exit): string => trim($exit->on . ' ' . $exit->label),
            $step->exits()->items,
        );

        return trim(
            \sprintf(
                'menu %s, wait %d s, %d %s, %s',
                $plan->get(Prompt::class, $step->asks->prompt)?->name(),
                $step->asks->waitSeconds,
                $step->asks->tries,
                1 === $step->asks->tries ? 'try' : 'tries',
                implode(' ', $keys),
            ),
            ' ,',
        );
    }
}
