<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

/** How menus are worded in a language: parts of regular expressions, and the words that sentences are made of. */
final readonly class Grammar
{
    /**
     * @param string $leadsTo words with which a destination begins
     * @param string $between words that join or fill, at the edges of a destination
     * @param string $says    verbs by which a word is to be said instead
     */
    private function __construct(
        public KeyWords $keys,
        public string $leadsTo,
        public string $between,
        public string $says,
    ) {}

    /** Null for languages of which no grammar is known. */
    public static function of(string $language): ?self
    {
        return match ($language) {
            'en' => self::english(),
            'fr' => self::french(),
            default => null,
        };
    }

    private static function english(): self
    {
        $names = [
            '0' => 'zero',
            '1' => 'one',
            '2' => 'two',
            '3' => 'three',
            '4' => 'four',
            '5' => 'five',
            '6' => 'six',
            '7' => 'seven',
            '8' => 'eight',
            '9' => 'nine',
            '*' => 'star',
            '#' => 'hash',
        ];

        return new self(
            new KeyWords(
                'press|pressing|dial|dialling|choose|select|enter|push|hit|type|use',
                '(?:the |key |button |number |option |digit )*',
                array_map('strval', array_flip($names)) + [
                    'nought' => '0',
                    'asterisk' => '*',
                    'pound' => '#',
                    'square' => '#',
                ],
                'For {label}, press {key}.',
                $names,
            ),
            'for|to|if|about|regarding|concerning|when',
            'and|or|then|please|just|simply|now|you can|you may|otherwise|alternatively|finally|also',
            'say|saying',
        );
    }

    private static function french(): self
    {
        $names = [
            '0' => 'zéro',
            '1' => 'un',
            '2' => 'deux',
            '3' => 'trois',
            '4' => 'quatre',
            '5' => 'cinq',
            '6' => 'six',
            '7' => 'sept',
            '8' => 'huit',
            '9' => 'neuf',
            '*' => 'étoile',
            '#' => 'dièse',
        ];

        return new self(
            new KeyWords(
                'tapez|taper|faites|appuyez|appuyer|composez|composer|pressez|sélectionnez|choisissez|entrez|utilisez',
                "(?:simplement |sur |la |le |l'|touche |chiffre |numéro |bouton )*",
                array_map('strval', array_flip($names)) + ['une' => '1', 'carré' => '#', 'astérisque' => '*'],
                'Pour {label}, tapez {key}.',
                $names,
            ),
            "pour|si|afin de|afin d'|concernant|en cas de|en cas d'",
            "et|ou|puis|enfin|sinon|aussi|veuillez|merci de|merci d'|vous pouvez|simplement|autrement|bien",
            'dites',
        );
    }
}
