<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** What a trial call takes for granted of whoever calls. */
final readonly class CallerActs
{
    public const FIELDS = ['keys', 'meanwhile', 'patience', 'fax'];

    /**
     * @param list<KeyPress> $keys            pressed at one menu after the other
     * @param list<KeyPress> $meanwhile       pressed while phones ring or something is heard, at one step that has keys after the other
     * @param int|null       $patienceSeconds when the caller gives up
     * @param bool           $isFax           whether a fax machine calls
     */
    public function __construct(
        public array $keys = [],
        public array $meanwhile = [],
        public ?int $patienceSeconds = null,
        public bool $isFax = false,
    ) {}

    /** @param Input $in all assumptions */
    public static function fromJson(Input $in): self
    {
        $patience = $in->field('patience');

        return new self(
            array_map(KeyPress::fromJson(...), $in->field('keys')->items(Limits::KEYS)),
            array_map(KeyPress::fromJson(...), $in->field('meanwhile')->items(Limits::KEYS)),
            $patience->isGiven() ? $patience->whole(1, 86400, 'seconds') : null,
            $in->field('fax')->flag(false),
        );
    }
}
