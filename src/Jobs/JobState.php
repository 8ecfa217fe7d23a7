<?php

declare(strict_types=1);

namespace Meandros\Server\Jobs;

enum JobState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';
    case Cancelled = 'cancelled';
}
