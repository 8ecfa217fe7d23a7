<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Element\CallerEntry;

/** The caller was looked for in lists, one after the other. */
final readonly class CallerToldApart implements Happening
{
    /**
     * @param string|null      $list   in which the caller is first; null for none
     * @param CallerEntry|null $entry  that holds for them there
     * @param list<string>     $passed lists in which they are not, looked at before
     */
    public function __construct(
        public string $caller,
        public ?string $list,
        public ?CallerEntry $entry,
        public array $passed,
    ) {}

    public function kind(): string
    {
        return null === $this->list ? 'caller not known' : 'caller known';
    }

    public function what(): array
    {
        return ['list' => $this->list, 'name' => $this->entry?->name, 'label' => $this->entry?->label];
    }

    public function because(): array
    {
        return ['caller' => $this->caller, 'match' => $this->entry?->match, 'passed' => $this->passed];
    }

    public function noticed(): array
    {
        return ['label' => $this->entry?->label];
    }
}
