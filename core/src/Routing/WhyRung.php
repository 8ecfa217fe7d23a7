<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Routing\Answering\Choice;
use Meandros\Core\Routing\Waiting\Turn;

/** Why just these phones rang. */
final readonly class WhyRung
{
    /**
     * @param Choice|null $choice which of the person's answering rules held
     * @param Turn|null   $turn   why an agent of a queue was asked
     */
    public function __construct(public ?Choice $choice = null, public ?Turn $turn = null) {}
}
