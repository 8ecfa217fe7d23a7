<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** What every step has, of whatever kind it is. */
final readonly class AboutStep
{
    public const FIELDS = ['id', 'do', 'why'];

    /**
     * @param string $id  within its journey: stable, and never shown
     * @param string $why it is there, for whoever comes after; empty where nobody said
     */
    public function __construct(public string $id, public string $why = '') {}

    /** @param Input $in the step */
    public static function fromJson(Input $in): self
    {
        return new self($in->field('id')->id(), $in->field('why')->optionalText(Limits::WHY));
    }

    /**
     * @param string $do the word for its kind
     *
     * @return array{id: string, do: string, why?: string} fields of the step
     */
    public function toJson(string $do): array
    {
        return ['id' => $this->id, 'do' => $do] + ('' === $this->why ? [] : ['why' => $this->why]);
    }
}
