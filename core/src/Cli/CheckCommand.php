<?php

declare(strict_types=1);

namespace Meandros\Core\Cli;

use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Promised\Breach;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\PromiseReport;
use Meandros\Core\Wording\PromiseWords;

/** Whether the expectations of a plan are kept: a gate for plans under version control. */
final class CheckCommand
{
    private const JSON = \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR;
    private const DAY = 86400;

    /**
     * @param \Closure(string): mixed $out
     *
     * @return int 0, or 1 where one is not kept
     */
    public static function run(Options $options, \Closure $out): int
    {
        $plan = Given::plan($options);
        $site =
            $plan->all(Site::class)[0] ??
            throw new \InvalidArgumentException('The plan has no site, so its time zone is unknown.');
        $zone = $options->get('zone', $site->place->zone);
        $from = Given::named('at', static fn(): int => Moment::parse($options->get('at'), $zone));
        $until = $from + Given::days($options) * self::DAY;
        $holding = new Holding(new Fares($plan, $from, $until));
        [$words, $report] = [new PromiseWords($plan), new PromiseReport($plan, $from, $until)];
        $reports = [];
        $text = '';
        $code = 0;
        $always = static fn(): bool => true;
        foreach (
            $holding->whateverPhonesDo($holding->hold($plan->all(Expectation::class), $always), $always)
            as $held
        ) {
            $code = $held->isKept() ? $code : 1;
            $reports[] = $one = $report->of($held);
            $text .= \sprintf("%-9s  %s\n", $one['state'], $words->sentence($held->expectation));
            foreach ($report->ways($held) as $alike) {
                $breach = $alike[0];
                $text .= \sprintf(
                    "           %s, from %s%s: %s\n",
                    $breach->numbers[0]->name(),
                    Moment::format($breach->times->since(), $zone),
                    self::keys($alike) .
                        (null === $breach->phones ? '' : \sprintf(', every phone: %s', $breach->phones->value)),
                    $report->what($breach),
                );
            }
        }
        $out(
            $options->has('json')
                ? json_encode($reports, self::JSON) . "\n"
                : ('' === $text
                    ? "The plan has no expectations.\n"
                    : $text),
        );

        return $code;
    }

    /** @param non-empty-list<Breach> $alike */
    private static function keys(array $alike): string
    {
        $keys = array_map(
            static fn(Breach $one): string => [] === $one->keys ? 'none' : implode(' ', $one->keys),
            $alike,
        );

        return ['none'] === $keys ? '' : ', keys ' . implode(' or ', $keys);
    }
}
