<?php

declare(strict_types=1);

namespace Meandros\Core\Cli;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\ProblemWords;

/** What commands are given: a plan file, a call, a zone. */
final class Given
{
    private const YEAR = 365;
    private const MOST_DAYS = 1100;

    /**
     * The call of --to, --from and --at.
     *
     * @param string|null $to where --to may be left out
     *
     * @return array{TrialCall, string} and the zone in which its moment is told
     *
     * @throws \InvalidArgumentException
     */
    public static function call(Options $options, Plan $plan, ?string $to = null): array
    {
        [$to, $site] = self::dialled($plan, $options->get('to', $to));
        $zone = $options->get('zone', $site->place->zone);
        if (!Zone::exists($zone)) {
            throw new \InvalidArgumentException(
                '--zone: ' . ProblemWords::both(new Problem('', 'not-a-zone', Zone::unknown($zone))),
            );
        }
        $caller = self::named(
            'from',
            static fn(): Caller => Caller::parse($options->get('from', Caller::WITHHELD), $site->place->country),
        );

        return [
            new TrialCall(
                $to,
                $caller,
                self::named('at', static fn(): int => Moment::parse($options->get('at'), $zone)),
            ),
            $zone,
        ];
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
    public static function named(string $option, \Closure $read): mixed
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

    /** @throws \InvalidArgumentException */
    public static function days(Options $options): int
    {
        $days = $options->get('days', (string) self::YEAR);
        if (!ctype_digit($days) || (int) $days < 1 || (int) $days > self::MOST_DAYS) {
            throw new \InvalidArgumentException(\sprintf('--days: a whole number from 1 to %d.', self::MOST_DAYS));
        }

        return (int) $days;
    }

    /** @param int $place of the file among the arguments */
    public static function plan(Options $options, int $place = 0): Plan
    {
        return PlanCodec::decode(
            self::read(
                $options->arguments[$place] ??
                    throw new \InvalidArgumentException("The plan file is missing.\n" . Application::USAGE),
            ),
        );
    }

    public static function read(string $file): string
    {
        $text = is_file($file) ? file_get_contents($file) : false;

        return false === $text
            ? throw new \InvalidArgumentException(\sprintf('The file %s cannot be read.', $file))
            : $text;
    }

    /** What is in a file of JSON. */
    public static function json(string $file): mixed
    {
        try {
            return json_decode(self::read($file), true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw InvalidData::at('', 'not-json', ['reason' => $exception->getMessage()]);
        }
    }

    /**
     * What is dialled, read in the national format of the site that has it; else of the plan's first site.
     *
     * @return array{string, Site}
     */
    public static function dialled(Plan $plan, string $text): array
    {
        $sites = $plan->all(Site::class);
        $first = $sites[0] ?? throw new \InvalidArgumentException('The plan has no site, so its time zone is unknown.');
        if (1 === preg_match('/^([0-9]{2,6}|[*#][0-9]{1,6})$/D', $text)) {
            return [$text, self::siteOf($plan, $text) ?? $first];
        }
        $invalid = $parsed = null;
        foreach ($sites as $site) {
            try {
                $parsed = PhoneNumber::parse($text, $site->place->country);
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
        return $plan->siteOf($plan->dialled($dialled));
    }
}
