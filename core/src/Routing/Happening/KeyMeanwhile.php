<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** A key was pressed while phones rang or something was heard. */
final readonly class KeyMeanwhile implements Happening
{
    /**
     * @param int  $after   seconds since the step began
     * @param bool $isHeard whether the call was answered by then: before that nobody hears keys
     * @param bool $known   whether it leads anywhere
     */
    public function __construct(public string $key, public int $after, public bool $isHeard, public bool $known) {}

    public function kind(): string
    {
        return $this->known ? 'key pressed meanwhile' : 'key not heeded';
    }

    public function what(): array
    {
        return ['key' => $this->key];
    }

    public function because(): array
    {
        return ['after' => $this->after, 'heard' => $this->isHeard];
    }

    public function noticed(): array
    {
        return $this->known ? $this->what() : [];
    }
}
