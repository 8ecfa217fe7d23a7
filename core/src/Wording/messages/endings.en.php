<?php

declare(strict_types=1);

// Why there may be other endings of a call than those that are listed, in English, as patterns of ICU MessageFormat.
return [
    'untried.place-kept' => 'what callers come to after they have kept their place here is not followed',
    'untried.many-people' => 'more people can be dialled than are tried: the first forty are',
    'untried.parked-without-end' => 'a parked call waits for as long as it takes: an hour of it is tried',
    'untried.queue-again' => 'the call comes again to a queue that did not let it in, and stands as it did then',
    'untried.agent-again' => 'an agent who is free here may be asked again later: that goes no further',
    'untried.phone-of-two' => 'a phone rings for two people, and does the same for both',
    'untried.phone-again' => 'a phone rings again here, and does what it did before',
    'untried.rounds' => 'phones ring round after round, of which not every last one is tried',
    'untried.too-many-ways' => 'there are more ways on from here than are tried',
    'untried.changes' => 'something that is looked up changes while the call goes on',
];
