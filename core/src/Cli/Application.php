<?php

declare(strict_types=1);

namespace Meandros\Core\Cli;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Recording\TakeState;
use Meandros\Core\Routing\AssumptionCheck;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Core\Wording\StateReason;
use Meandros\Core\Wording\TraceReport;

/** The engine on a plan file. */
final class Application
{
    public const USAGE = <<<'TEXT'
    usage: meandros trace PLAN.json --to NUMBER [--from CALLER] --at MOMENT [--zone ZONE] [--assume FILE] [--json]
           meandros hours PLAN.json --id HOURS --at MOMENT [--json]
           meandros prompts PLAN.json [--json]
           meandros coverage PLAN.json --to NUMBER [--from CALLER] --at MOMENT [--days N] [--zone ZONE] [--json]
           meandros endings PLAN.json --to NUMBER [--from CALLER] --at MOMENT [--json]
           meandros impact BEFORE.json AFTER.json [--to NUMBER] --at MOMENT [--days N] [--json]
           meandros brief PLAN.json [BEFORE.json] --at MOMENT [--to NUMBER] [--days N] [--zone ZONE] [--language en|fr]
           meandros check PLAN.json --at MOMENT [--days N] [--zone ZONE] [--json]

    NUMBER and CALLER are as people type them, an extension, or (for CALLER) "withheld".
    brief says in Markdown what callers hear and who answers, beside BEFORE.json with what came and went marked.
    check tells whether the expectations of the plan are kept from then on, and ends with 1 where one is not.
    MOMENT is like 2026-11-23T10:30 in the site's zone, or 2026-11-23T10:30:00+00:00.

    TEXT;
    private const JSON = \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR;

    /**
     * @param list<string>            $words without the program's name
     * @param \Closure(string): mixed $out
     * @param \Closure(string): mixed $err
     *
     * @return int 0, 1 where an expectation is not kept, or 2 for bad input
     */
    public static function run(array $words, \Closure $out, \Closure $err): int
    {
        try {
            $command = array_shift($words);
            if ('check' === $command) {
                return CheckCommand::run(Options::parse($words, ['at', 'days', 'zone'], ['json']), $out);
            }
            $out(
                match ($command) {
                    'trace' => self::trace(Options::parse($words, ['to', 'from', 'at', 'zone', 'assume'], ['json'])),
                    'hours' => self::hours(Options::parse($words, ['id', 'at'], ['json'])),
                    'coverage' => ProofCommands::coverage(
                        Options::parse($words, ['to', 'from', 'at', 'days', 'zone'], ['json']),
                    ),
                    'endings' => ProofCommands::endings(Options::parse($words, ['to', 'from', 'at', 'zone'], ['json'])),
                    'impact' => ProofCommands::impact(
                        Options::parse($words, ['to', 'from', 'at', 'days', 'zone'], ['json']),
                    ),
                    'brief' => ProofCommands::brief(
                        Options::parse($words, ['to', 'at', 'days', 'zone', 'language'], []),
                    ),
                    'prompts' => self::prompts(Options::parse($words, [], ['json'])),
                    default => throw new \InvalidArgumentException(self::USAGE),
                },
            );

            return 0;
        } catch (InvalidData $invalid) {
            $err('meandros: ' . ProblemWords::all($invalid) . "\n");

            return 2;
        } catch (\InvalidArgumentException | TooMuchWork $exception) {
            $err('meandros: ' . $exception->getMessage() . "\n");

            return 2;
        }
    }

    private static function trace(Options $options): string
    {
        $plan = Given::plan($options);
        [$call, $zone] = Given::call($options, $plan);
        $assumptions = Given::named('assume', static function () use ($options, $plan, $call): Assumptions {
            $assumptions = $options->has('assume')
                ? Assumptions::fromData(Given::json($options->get('assume')))
                : new Assumptions();
            AssumptionCheck::check($plan, $assumptions, $call);

            return $assumptions;
        });
        $report = TraceReport::of((new Router())->trace($plan, $call, $assumptions), $plan, $zone);
        if ($options->has('json')) {
            return json_encode($report, self::JSON) . "\n";
        }
        $lines = [$report['sentence']];
        foreach ($report['events'] as $event) {
            $lines[] = rtrim(\sprintf('%5d s  %s. %s', $event['second'], $event['text'], $event['reason']));
            foreach ($event['whys'] as $one) {
                $lines[] = \sprintf('         %s“%s”', '' === $one['name'] ? '' : $one['name'] . ': ', $one['why']);
            }
        }

        return implode("\n", $lines) . "\n";
    }

    private static function hours(Options $options): string
    {
        $plan = Given::plan($options);
        $hours = $plan->get(Hours::class, $options->get('id'));
        if (null === $hours) {
            $ids = array_map(static fn(Hours $one): string => $one->id(), $plan->all(Hours::class));
            throw new \InvalidArgumentException(
                \sprintf(
                    '--id: there are no hours "%s" in the plan. There are: %s.',
                    $options->get('id'),
                    implode(', ', $ids),
                ),
            );
        }
        $running = new PlanHours($plan);
        $zone = $running->zone($hours);
        $reading = $running->read(
            $hours,
            Given::named('at', static fn(): int => Moment::parse($options->get('at'), $zone)),
        );
        if ($options->has('json')) {
            return json_encode(
                [
                    'state' => $reading->state,
                    'because' => $reading->decision->toJson(),
                    'since' => null === $reading->since ? null : Moment::format($reading->since, $zone),
                    'until' => null === $reading->until ? null : Moment::format($reading->until, $zone),
                ],
                self::JSON,
            ) . "\n";
        }

        return \sprintf(
            "%s: %s; %s\n",
            $hours->name(),
            $hours->states->nameOf($reading->state),
            StateReason::words($reading, $zone),
        );
    }

    /** How long prompts are, how that is known, and which takes say other words than their scripts. */
    private static function prompts(Options $options): string
    {
        $rows = [];
        foreach (Given::plan($options)->all(Prompt::class) as $prompt) {
            foreach ($prompt->languages() as $language) {
                $rows[] = [
                    'prompt' => $prompt->id(),
                    'name' => $prompt->name(),
                    'language' => $language,
                    'seconds' => $prompt->seconds($language),
                    'lengthFrom' => $prompt->lengthFrom($language)->value,
                    'take' => TakeState::ofScript($prompt, $language)->value,
                ];
            }
        }
        if ($options->has('json')) {
            return json_encode($rows, self::JSON) . "\n";
        }
        $text = '';
        foreach ($rows as $row) {
            $text .= \sprintf(
                "%4d s  %-15s %s  %s%s\n",
                $row['seconds'],
                $row['lengthFrom'],
                $row['language'],
                $row['name'],
                TakeState::OtherWords->value === $row['take'] ? ': recorded from other words' : '',
            );
        }

        return $text;
    }
}
