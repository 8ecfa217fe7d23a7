<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Json\ZoneReader;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\AssumptionCheck;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;
use Symfony\Component\HttpFoundation\Request;

/** A trial call as it is asked for: in which plan (perhaps with one element as it is about to be), to, from, at, and with which assumptions. */
final readonly class TrialCallRequest
{
    private function __construct(
        public Plan $plan,
        public TrialCall $call,
        public Assumptions $assumptions,
        public string $zone,
        public string $which,
        private ?string $live,
    ) {}

    /**
     * @throws InvalidData
     */
    public static function read(Request $request, Plans $plans): self
    {
        return JsonBody::read($request, static fn(Input $in): self => self::from($in, $plans));
    }

    /** @param Element|null $with as it is about to be written, in place of one that the call may bring */
    public static function from(Input $in, Plans $plans, ?Element $with = null): self
    {
        $in->onlyFields(['in', 'to', 'from', 'at', 'zone', 'assume', 'with']);
        $which = $in->field('in')->isGiven() ? $in->field('in')->text(12) : 'draft';
        $draft = 'draft' === $which ? $plans->draft() : null;
        $plan = $draft->plan ?? $plans->get($which);
        $element = $with ?? ($in->field('with')->isGiven() ? PlanCodec::readElement($in->field('with')) : null);
        $plan = null === $element ? $plan : $plan->with($element);
        $to = $in->field('to')->text(64);
        $site = self::siteOf($plan, $to);
        $zone = $in->field('zone')->isGiven() ? ZoneReader::read($in->field('zone')) : $site->place->zone ?? 'UTC';
        $call = new TrialCall(
            self::dialled($in->field('to'), $to, $plan, $site),
            self::caller($in->field('from'), $site),
            MomentReader::read($in->field('at'), $zone),
        );

        // What is live at a later time may be another edition.
        $plan = 'live' === $which && null === $element ? $plans->get($which, $call->instant) : $plan;
        $assumptions = Assumptions::fromJson($in->field('assume'));
        self::orComplain($in->field('assume'), static fn() => AssumptionCheck::check($plan, $assumptions, $call), null);

        return new self($plan, $call, $assumptions, $zone, $which, $draft?->live);
    }

    /** What is in force around the call. */
    public function inForce(Live $live): LiveState
    {
        return $live->state($this->plan, $this->call->instant, $this->live);
    }

    private static function siteOf(Plan $plan, string $to): ?Site
    {
        return $plan->siteOf($plan->dialled($to) ?? $plan->find($to)) ?? ($plan->all(Site::class)[0] ?? null);
    }

    private static function dialled(Input $in, string $text, Plan $plan, ?Site $site): string
    {
        if (1 === preg_match('/^(\+\d+|\d{2,6}|[*#]\d{1,6})?$/D', $text)) {
            return $text;
        }

        if ($plan->find($text) instanceof TakesCalls) {
            return $text;
        }

        return self::orComplain(
            $in,
            static fn(): string => PhoneNumber::parse($text, $site->place->country ?? PhoneNumber::ANYWHERE),
            '',
        );
    }

    private static function caller(Input $in, ?Site $site): Caller
    {
        $withheld = Caller::withheld();

        return self::orComplain(
            $in,
            static fn(): Caller => Caller::parse($in->optionalText(40), $site->place->country ?? PhoneNumber::ANYWHERE),
            $withheld,
        );
    }

    /**
     * @template T
     *
     * @param \Closure(): T $parse
     * @param T             $fallback
     *
     * @return T
     */
    private static function orComplain(Input $in, \Closure $parse, mixed $fallback): mixed
    {
        try {
            return $parse();
        } catch (InvalidData $invalid) {
            $in->take($invalid);

            return $fallback;
        }
    }
}
