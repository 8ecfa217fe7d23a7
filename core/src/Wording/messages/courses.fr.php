<?php

declare(strict_types=1);

// Who or what takes calls, in French, as patterns of ICU MessageFormat.
return [
    'person' => 'fait sonner {who}',
    'outside' => 'l’appel est transféré au {who}',
    'message' => 'un message à {who}',
    'announcement' => 'l’annonce de {who}',
    'nobody.loop' => "personne\u{a0}: l’appel tourne en rond",
    'nobody.ran-out' => "personne\u{a0}: il ne reste aucune étape",
    'nobody.ends' => "personne\u{a0}: l’appel se termine",
    'queue.callback' => '{turn}, puis attend d’être rappelé',
    'turn.waits' => 'attend dans {who}',
    'turn.rings' => 'fait sonner {who}',
    'turn.leaves' => 'laisse un message à {who}',
    'week' => "Une semaine\u{a0}: {reaches}",
    'reach.queue' => 'une file',
    'reach.person' => 'une personne',
    'reach.outside' => 'un numéro extérieur',
    'reach.message' => 'un message',
    'reach.announcement' => 'une annonce',
    'reach.nobody' => 'personne',
];
