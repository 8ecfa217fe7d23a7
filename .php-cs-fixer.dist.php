<?php

declare(strict_types=1);

// Layout is Prettier's (.prettierrc.json: lines end by 120 characters); what remains here is what the code says.
$layout = [
    'attribute_block_no_spaces',
    'braces_position',
    'class_definition',
    'concat_space',
    'function_declaration',
    'method_argument_space',
    'no_extra_blank_lines',
    'no_multiline_whitespace_around_double_arrow',
    'no_spaces_around_offset',
    'no_trailing_comma_in_singleline',
    'no_unneeded_control_parentheses',
    'operator_linebreak',
    'single_line_throw',
    'single_space_around_construct',
    'space_after_semicolon',
    'spaces_inside_parentheses',
    'statement_indentation',
    'types_spaces',
];

$finder = (new PhpCsFixer\Finder())
    ->in([
        __DIR__ . '/core/src',
        __DIR__ . '/core/tests',
        __DIR__ . '/src',
        __DIR__ . '/tests',
        __DIR__ . '/config',
        __DIR__ . '/migrations',
        __DIR__ . '/public',
        __DIR__ . '/bench',
        __DIR__ . '/soak',
    ])
    ->notPath('assets')
    ->append([__DIR__ . '/core/bin/meandros', __DIR__ . '/bin/console', __FILE__]);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setParallelConfig(new PhpCsFixer\Runner\Parallel\ParallelConfig(2, 20))
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'phpdoc_to_comment' => false,
        ...array_fill_keys($layout, false),
    ])
    ->setCacheFile(__DIR__ . '/var/php-cs-fixer.cache')
    ->setFinder($finder);
