<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;

/**
 * What a trial call takes for granted. With nothing stated callers press nothing and wait for ever, phones are
 * reachable and idle, and nobody answers: that shows the whole overflow.
 */
final readonly class Assumptions
{
    public const EVERY_PHONE = '*';

    /**
     * @param list<KeyPress>            $keys             pressed at one menu after the other
     * @param list<PhoneAssumption>     $phones           the most particular one holds: phone, then person, then every phone
     * @param int|null                  $patienceSeconds  when the caller gives up
     * @param bool                      $withoutOverrides as if nobody had forced hours into a state
     * @param array<string, Status>     $statuses         by person, instead of the live ones
     * @param Earlier                   $earlier          what earlier calls left behind
     * @param array<string, QueueState> $queues           by queue
     * @param list<string>              $sitesDown        sites whose phones cannot be reached
     * @param array<string, int>        $channelsTaken    channels of outside lines that other calls use, by line
     * @param list<KeyPress>            $meanwhile        pressed while phones ring or something is heard, at one step that has keys after the other
     * @param Parked                    $parked           what becomes of a call that is parked
     * @param bool                      $isFax            whether a fax machine calls
     */
    public function __construct(
        public array $keys = [],
        public array $phones = [],
        public ?int $patienceSeconds = null,
        public bool $withoutOverrides = false,
        public Earlier $earlier = new Earlier(),
        public array $statuses = [],
        public array $channelsTaken = [],
        public array $queues = [],
        public array $sitesDown = [],
        public array $meanwhile = [],
        public Parked $parked = new Parked(),
        public bool $isFax = false,
    ) {}

    /** @throws InvalidData */
    public static function fromData(mixed $data): self
    {
        return Input::read($data, self::fromJson(...));
    }

    public static function fromJson(Input $in): self
    {
        if (!$in->isGiven()) {
            return new self();
        }
        $in->onlyFields([
            'keys',
            'phones',
            'patience',
            'withoutOverrides',
            'earlier',
            'statuses',
            'lines',
            'queues',
            'down',
            'meanwhile',
            'parked',
            'fax',
        ]);
        $keys = array_map(KeyPress::fromJson(...), $in->field('keys')->items(Limits::KEYS));
        $patience = $in->field('patience');

        return new self(
            $keys,
            self::phones($in->field('phones')),
            $patience->isGiven() ? $patience->whole(1, 86400, 'seconds') : null,
            $in->field('withoutOverrides')->flag(false),
            Earlier::fromJson($in->field('earlier')),
            self::statuses($in->field('statuses')),
            self::channelsTaken($in->field('lines')),
            self::queues($in->field('queues')),
            array_map(
                static fn(Input $item): string => $item->text(80),
                $in->field('down')->items(Limits::ASSUMPTIONS),
            ),
            array_map(KeyPress::fromJson(...), $in->field('meanwhile')->items(Limits::KEYS)),
            Parked::fromJson($in->field('parked')),
            $in->field('fax')->flag(false),
        );
    }

    /** @return list<PhoneAssumption> */
    private static function phones(Input $in): array
    {
        $phones = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $item->onlyFields(['who', 'does', 'after']);
            $who = $item->field('who')->once($phones);
            /** @var Behaviour $does */
            $does = $item->field('does')->oneOf(Behaviour::class, Behaviour::Answers);
            $phones[$who] = new PhoneAssumption($who, $does, $item->field('after')->optionalWhole(0, 3600, 'seconds'));
        }

        return array_values($phones);
    }

    /** @return array<string, Status> */
    private static function statuses(Input $in): array
    {
        $statuses = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $item->onlyFields(['who', 'status']);
            /** @var Status $status */
            $status = $item->field('status')->oneOf(Status::class, Status::Available);
            $statuses[$item->field('who')->once($statuses)] = $status;
        }

        return $statuses;
    }

    /** @return array<string, QueueState> */
    private static function queues(Input $in): array
    {
        $queues = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $queues[$item->field('queue')->once($queues)] = QueueState::fromJson($item);
        }

        return $queues;
    }

    /** @return array<string, int> */
    private static function channelsTaken(Input $in): array
    {
        $taken = [];
        foreach ($in->items(Limits::ASSUMPTIONS) as $item) {
            $item->onlyFields(['line', 'taken']);
            $taken[$item->field('line')->once($taken)] = $item->field('taken')->whole(0, 10000, 'calls', 0);
        }

        return $taken;
    }

    /** @param list<string> $names of the phone, the most particular first */
    public function of(array $names): PhoneAssumption
    {
        foreach ([...$names, self::EVERY_PHONE] as $name) {
            foreach ($this->phones as $assumption) {
                if ($assumption->who === $name) {
                    return $assumption;
                }
            }
        }

        return new PhoneAssumption($names[0] ?? self::EVERY_PHONE, Behaviour::Rings);
    }
}
