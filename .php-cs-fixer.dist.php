<?php

declare(strict_types=1);

$finder = (new PhpCsFixer\Finder())
    ->in([__DIR__.'/core/src', __DIR__.'/core/tests', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/config', __DIR__.'/migrations', __DIR__.'/public', __DIR__.'/bench', __DIR__.'/soak'])
    ->notPath('assets')
    ->append([__DIR__.'/core/bin/meandros', __DIR__.'/bin/console', __FILE__]);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules(['@Symfony' => true, '@Symfony:risky' => true, 'declare_strict_types' => true, 'phpdoc_to_comment' => false])
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache')
    ->setFinder($finder);
