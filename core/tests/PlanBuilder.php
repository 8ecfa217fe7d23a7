<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Time\Moment;

/** A small harbour office: one site, one number, one journey; tests add what they are about. */
final class PlanBuilder
{
    public const NUMBER = '+441632960100';

    /** @var array<string, array<string, mixed>> */
    private array $elements = [];

    public function __construct()
    {
        $this->with([
            'id' => 'sit_harbour',
            'kind' => 'site',
            'name' => 'Harbour',
            'zone' => 'Europe/London',
            'country' => 'GB',
            'language' => 'en',
        ]);
        $this->with([
            'id' => 'num_main',
            'kind' => 'number',
            'name' => 'Main line',
            'number' => self::NUMBER,
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => 'jrn_main',
        ]);
        $this->journey('jrn_main', []);
    }

    /** @param array<string, mixed> $element */
    public function with(array $element): self
    {
        \assert(\is_string($element['id']));
        $this->elements[$element['id']] = $element;

        return $this;
    }

    /** @param list<array<string, mixed>> $steps */
    public function journey(string $id, array $steps): self
    {
        return $this->with(['id' => $id, 'kind' => 'journey', 'name' => $id, 'steps' => $steps]);
    }

    /** @param list<string> $phones */
    public function person(string $id, array $phones = ['desk'], ?string $mailbox = null): self
    {
        return $this->with([
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'extension' => '',
            'site' => 'sit_harbour',
            'mailbox' => $mailbox,
            'phones' => array_map(
                static fn(string $phone): array => ['id' => $phone, 'type' => 'desk', 'label' => $phone],
                $phones,
            ),
        ]);
    }

    /** @param list<string> $members */
    public function team(string $id, array $members, string $pattern = 'all at once', int $memberSeconds = 15): self
    {
        return $this->with([
            'id' => $id,
            'kind' => 'team',
            'name' => $id,
            'pattern' => $pattern,
            'members' => $members,
            'memberSeconds' => $memberSeconds,
        ]);
    }

    /** A prompt of so many seconds at 150 words a minute: five words in two seconds. */
    public function prompt(string $id, int $seconds): self
    {
        return $this->with([
            'id' => $id,
            'kind' => 'prompt',
            'name' => $id,
            'scripts' => ['en' => trim(str_repeat('word ', intdiv($seconds * 5, 2)))],
        ]);
    }

    public function mailbox(string $id, ?string $greeting = null): self
    {
        return $this->with([
            'id' => $id,
            'kind' => 'mailbox',
            'name' => $id,
            'owners' => [],
            'notify' => ['office@example.com'],
            'greeting' => $greeting,
        ]);
    }

    /**
     * @param list<array<string, mixed>> $week
     * @param list<array<string, mixed>> $specialDays
     */
    public function hours(string $id, array $week, array $specialDays = []): self
    {
        $states = array_map(
            static fn(string $key): array => ['key' => $key, 'name' => ucfirst($key), 'open' => 'closed' !== $key],
            ['open', 'lunch', 'closed'],
        );

        return $this->with([
            'id' => $id,
            'kind' => 'hours',
            'name' => $id,
            'site' => 'sit_harbour',
            'states' => $states,
            'default' => 'closed',
            'week' => $week,
            'specialDays' => $specialDays,
        ]);
    }

    /** @return array<string, mixed> */
    public function element(string $id): array
    {
        return $this->elements[$id];
    }

    public function plan(): Plan
    {
        return PlanCodec::fromData($this->data());
    }

    /** @return array<string, mixed> */
    public function data(): array
    {
        return ['meandros' => 1, 'name' => 'Test', 'elements' => array_values($this->elements)];
    }

    /** @param array<string, mixed> $assume */
    public function call(
        array $assume = [],
        string $at = '2026-11-23T10:30',
        string $to = self::NUMBER,
        string $from = '',
    ): Trace {
        return (new Router())->trace($this->plan(), self::trial($at, $to, $from), Assumptions::fromData($assume));
    }

    public static function trial(string $at, string $to = self::NUMBER, string $from = ''): TrialCall
    {
        return new TrialCall($to, Caller::parse($from, 'GB'), Moment::parse($at, 'Europe/London'));
    }
}
