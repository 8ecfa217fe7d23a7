<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;

/** What others know of somebody: their extension, their name in the directory, and the number that their calls show. */
final readonly class KnownBy
{
    public const SHOWS_OWN = 'own';
    public const SHOWS_NOTHING = 'withheld';

    /**
     * @param string      $extension empty where they have none
     * @param string|null $shows     what calls of theirs to outside show: their own number, none, or one of the plan by its id; null leaves
     *                               it to the line
     */
    public function __construct(
        public string $extension = '',
        public Listing $listing = new Listing(),
        public ?string $shows = null,
    ) {}

    /** @param Input $in the person */
    public static function fromJson(Input $in): self
    {
        $extension = $in->field('extension')->optionalExactText(10);
        if ('' !== $extension && 1 !== preg_match('/^[0-9]{2,6}$/D', $extension)) {
            $in->field('extension')->complain('not-an-extension');
        }

        return new self($extension, Listing::fromJson($in->field('listing')), $in->field('shows')->reference());
    }

    /** The same, with another extension where they have none yet. */
    public function orExtension(string $extension): self
    {
        return new self('' === $this->extension ? $extension : $this->extension, $this->listing, $this->shows);
    }
}
