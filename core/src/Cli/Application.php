<?php

declare(strict_types=1);

namespace Meandros\Core\Cli;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Recording\TakeState;
use Meandros\Core\Routing\AssumptionCheck;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Core\Wording\StateReason;
use Meandros\Core\Wording\TraceReport;

/** The engine on a plan file: `trace`, `hours` and `prompts`. */
final class Application
{
    public const USAGE = <<<'TEXT'
    usage: meandros trace PLAN.json --to NUMBER [--from CALLER] --at MOMENT [--zone ZONE] [--assume FILE] [--json]
           meandros hours PLAN.json --id HOURS --at MOMENT [--json]
           meandros prompts PLAN.json [--json]

    NUMBER and CALLER are as people type them, an extension, or (for CALLER) "withheld".
    MOMENT is like 2026-11-23T10:30 in the site's zone, or 2026-11-23T10:30:00+00:00.

    TEXT;
    private const JSON = \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR;

    /**
     * @param list<string>            $words without the program's name
     * @param \Closure(string): mixed $out
     * @param \Closure(string): mixed $err
     *
     * @return int 0, or 2 for bad input
     */
    public static function run(array $words, \Closure $out, \Closure $err): int
    {
        try {
            $command = array_shift($words);
            $out(
                match ($command) {
                    'trace' => self::trace(Options::parse($words, ['to', 'from', 'at', 'zone', 'assume'], ['json'])),
                    'hours' => self::hours(Options::parse($words, ['id', 'at'], ['json'])),
                    'prompts' => self::prompts(Options::parse($words, [], ['json'])),
                    default => throw new \InvalidArgumentException(self::USAGE),
                },
            );

            return 0;
        } catch (InvalidData $invalid) {
            $err('meandros: ' . ProblemWords::all($invalid) . "\n");

            return 2;
        } catch (\InvalidArgumentException | \JsonException | TooMuchWork $exception) {
            $err('meandros: ' . $exception->getMessage() . "\n");

            return 2;
        }
    }

    private static function trace(Options $options): string
    {
        $plan = self::plan($options);
        [$to, $site] = self::dialled($plan, $options->get('to'));
        $zone = $options->get('zone', $site->zone);
        if (!Zone::exists($zone)) {
            throw new \InvalidArgumentException(
                '--zone: ' . ProblemWords::both(new Problem('', 'not-a-zone', Zone::unknown($zone))),
            );
        }
        $caller = self::named(
            'from',
            static fn(): Caller => Caller::parse($options->get('from', Caller::WITHHELD), $site->country),
        );
        $call = new TrialCall(
            $to,
            $caller,
            self::named('at', static fn(): int => Moment::parse($options->get('at'), $zone)),
        );
        $assumptions = self::named('assume', static function () use ($options, $plan, $call): Assumptions {
            $assumptions = $options->has('assume')
                ? Assumptions::fromData(
                    json_decode(self::read($options->get('assume')), true, 32, \JSON_THROW_ON_ERROR),
                )
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
        }

        return implode("\n", $lines) . "\n";
    }

    private static function hours(Options $options): string
    {
        $plan = self::plan($options);
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
            self::named('at', static fn(): int => Moment::parse($options->get('at'), $zone)),
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
            $hours->state($reading->state)->name ?? $reading->state,
            StateReason::words($reading, $zone),
        );
    }

    /** How long prompts are, how that is known, and which takes say other words than their scripts. */
    private static function prompts(Options $options): string
    {
        $rows = [];
        foreach (self::plan($options)->all(Prompt::class) as $prompt) {
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

    /**
     * @template T
     *
     * @param \Closure(): T $read
     *
     * @return T
     *
     * @throws \InvalidArgumentException naming the option
     */
    private static function named(string $option, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (InvalidData $invalid) {
            throw new \InvalidArgumentException(\sprintf('--%s: %s', $option, ProblemWords::all($invalid)));
        } catch (\InvalidArgumentException $invalid) {
            throw new \InvalidArgumentException(
                str_starts_with($invalid->getMessage(), '--')
                    ? $invalid->getMessage()
                    : \sprintf('--%s: %s', $option, $invalid->getMessage()),
            );
        }
    }

    private static function plan(Options $options): Plan
    {
        return PlanCodec::decode(
            self::read(
                $options->arguments[0] ??
                    throw new \InvalidArgumentException("The plan file is missing.\n" . self::USAGE),
            ),
        );
    }

    private static function read(string $file): string
    {
        $text = is_file($file) ? file_get_contents($file) : false;

        return false === $text
            ? throw new \InvalidArgumentException(\sprintf('The file %s cannot be read.', $file))
            : $text;
    }

    /**
     * What is dialled, read in the national format of the site that has it; else of the plan's first site.
     *
     * @return array{string, Site}
     */
    private static function dialled(Plan $plan, string $text): array
    {
        $sites = $plan->all(Site::class);
        $first = $sites[0] ?? throw new \InvalidArgumentException('The plan has no site, so its time zone is unknown.');
        if (1 === preg_match('/^([0-9]{2,6}|[*#][0-9]{1,6})$/D', $text)) {
            return [$text, self::siteOf($plan, $text) ?? $first];
        }
        $invalid = $parsed = null;
        foreach ($sites as $site) {
            try {
                $parsed = PhoneNumber::parse($text, $site->country);
                $owner = self::siteOf($plan, $parsed);
                if (null !== $owner) {
                    return [$parsed, $owner];
                }
            } catch (InvalidData $exception) {
                $invalid = $exception;
            }
        }

        return [
            $parsed ?? throw new \InvalidArgumentException('--to: ' . ProblemWords::message($invalid->problems[0])),
            $first,
        ];
    }

    private static function siteOf(Plan $plan, string $dialled): ?Site
    {
        $element = $plan->dialled($dialled);

        return $element instanceof Number || $element instanceof Person || $element instanceof Hours
            ? $plan->get(Site::class, $element->site)
            : null;
    }
}
