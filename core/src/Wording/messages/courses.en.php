<?php

declare(strict_types=1);

// Who or what takes calls, in English, as patterns of ICU MessageFormat.
return [
    'person' => 'rings {who}',
    'outside' => 'sent on to {who}',
    'message' => 'a message with {who}',
    'announcement' => 'the announcement of {who}',
    'nobody.loop' => 'nobody: goes round in a loop',
    'nobody.ran-out' => 'nobody: no step is left',
    'nobody.ends' => 'nobody: the call ends',
    'queue.callback' => '{turn}, then waits to be called back',
    'turn.waits' => 'waits in {who}',
    'turn.rings' => 'rings {who}',
    'turn.leaves' => 'leaves a message with {who}',
    'week' => 'A week: {reaches}',
    'reach.queue' => 'a queue',
    'reach.person' => 'a person',
    'reach.outside' => 'a number outside',
    'reach.message' => 'a message',
    'reach.announcement' => 'an announcement',
    'reach.nobody' => 'nobody',
];
