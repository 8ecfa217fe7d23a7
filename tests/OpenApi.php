<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\Yaml\Yaml;

/** Checks an answer against the hand-written OpenAPI document. */
final class OpenApi
{
    private const ID = 'https://meandros.example/openapi.json';

    private static ?Validator $validator = null;
    /** @var array<string, mixed> */
    private static array $document = [];
    /** @var array<string, true> answers that were right, by what they were held against: whole plans come again and again */
    private static array $right = [];

    public static function check(string $method, string $path, int $status, string $body): void
    {
        $validator = self::$validator ??= self::load();
        $template = self::template(strtok($path, '?') ?: $path, strtolower($method));
        if (null === $template) {
            Assert::assertContains($status, [404, 405], 'An address outside the document must not be found.');

            return;
        }
        $responses = self::$document['paths'][$template][strtolower($method)]['responses'];
        $known = isset($responses[$status]);
        Assert::assertTrue(
            $known || $status >= 400,
            "$method $template answered $status, which the document does not know.",
        );
        if ($known && !isset($responses[$status]['content']['application/json'])) {
            return;
        }
        $pointer = $known
            ? "/paths/$template/" . strtolower($method) . "/responses/$status/content/application/json/schema"
            : null;
        $ref = null === $pointer ? '/components/schemas/Problem' : self::escape($pointer, $template);
        $what = $ref . ' ' . hash('xxh128', $body);
        if (isset(self::$right[$what])) {
            return;
        }
        $result = $validator->validate(json_decode($body), (object) ['$ref' => self::ID . '#' . $ref]);
        $error = $result->error();
        Assert::assertNull(
            $error,
            "$method $path: " . (null === $error ? '' : json_encode((new ErrorFormatter())->format($error))),
        );
        self::$right[$what] = true;
    }

    private static function escape(string $pointer, string $template): string
    {
        $name = str_replace(['/', '{', '}'], ['~1', '%7B', '%7D'], $template);

        return str_replace(
            ['/paths/' . $template . '/', 'application/json'],
            ['/paths/' . $name . '/', 'application~1json'],
            $pointer,
        );
    }

    private static function template(string $path, string $method): ?string
    {
        $best = null;
        foreach (self::$document['paths'] as $template => $methods) {
            $pattern = '#^' . preg_replace('/\\\\\{[a-z]+\\\\\}/', '[^/]+', preg_quote($template, '#')) . '$#';
            if (
                isset($methods[$method]) &&
                1 === preg_match($pattern, $path) &&
                (null === $best || substr_count($template, '{') < substr_count($best, '{'))
            ) {
                $best = $template;
            }
        }

        return $best;
    }

    private static function load(): Validator
    {
        $yaml = str_replace(
            '../core/schema/plan.schema.json',
            'https://meandros.example/plan.schema.json',
            (string) file_get_contents(__DIR__ . '/../docs/openapi.yaml'),
        );
        self::$document = Yaml::parse($yaml);
        $validator = new Validator();
        $resolver = $validator->resolver();
        Assert::assertNotNull($resolver);
        $resolver->registerRaw((string) json_encode(self::$document), self::ID);
        $schema = (string) file_get_contents(__DIR__ . '/../core/schema/plan.schema.json');
        Assert::assertDoesNotMatchRegularExpression(
            '/:\s*\{\s*\}/',
            $schema,
            'An empty object would come back as a list.',
        );
        $plan = json_decode($schema, true);
        foreach (['element' => 'kind', 'step' => 'do'] as $name => $property) {
            $plan['$defs'][$name] = self::toldApart($plan['$defs'], $plan['$defs'][$name]['oneOf'], $property);
        }
        $resolver->registerRaw((string) json_encode($plan));

        return $validator;
    }

    /**
     * One of several that a property tells apart: the same in other words, and the others are not looked at.
     *
     * @param array<string, array<string, mixed>> $definitions
     * @param list<array{'$ref': string}>         $choices
     *
     * @return array<string, mixed>
     */
    private static function toldApart(array $definitions, array $choices, string $property): array
    {
        $all = $names = [];
        foreach ($choices as $choice) {
            $names[] = $name = $definitions[basename($choice['$ref'])]['properties'][$property]['const'];
            $all[] = ['if' => ['properties' => [$property => ['const' => $name]]], 'then' => $choice];
        }

        return [
            'type' => 'object',
            'required' => [$property],
            'properties' => [$property => ['enum' => $names]],
            'allOf' => $all,
        ];
    }
}
