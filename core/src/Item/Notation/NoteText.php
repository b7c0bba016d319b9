<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

/**
 * Plain lines and the rich text they stand for: a line is a paragraph, `$…$` is maths. What plain lines cannot say is written as
 * the HTML that it is, and known by its first tag.
 */
final class NoteText
{
    private const PARAGRAPHS = '~^(?:<p>(?:[^<]|<span data-math="[^"<>]*"></span>)*</p>)+$~D';

    /** As the gate for rich text writes them. */
    private const ESCAPES = [
        '&' => '&amp;', '<' => '&lt;', '>' => '&gt;', '"' => '&#34;', "'" => '&#039;', '`' => '&#96;', '+' => '&#43;', '=' => '&#61;',
        '@' => '&#64;',
    ];

    /** @param list<string> $lines */
    public static function html(array $lines): string
    {
        $first = $lines[0] ?? '';
        if (preg_match('/^<[a-z]/', $first) === 1) {
            return implode('', $lines);
        }

        return implode('', array_map(static fn (string $l): string => '<p>'.self::inline($l).'</p>', $lines));
    }

    /** @return list<string> lines of which {@see html()} makes this again */
    public static function lines(string $html): array
    {
        if ($html === '') {
            return [];
        }
        if (preg_match(self::PARAGRAPHS, $html) === 1) {
            $lines = array_map(self::plain(...), explode('</p><p>', substr($html, 3, -4)));
            if (self::html($lines) === $html && !in_array('', $lines, true)) {
                return $lines;
            }
        }

        return [$html];
    }

    private static function inline(string $line): string
    {
        $html = '';
        // Maths between two signs of which neither is escaped, and with something between them.
        foreach (Parts::split('/(?<!\\\\)\$([^$]+)(?<!\\\\)\$/u', $line, PREG_SPLIT_DELIM_CAPTURE) as $i => $part) {
            $part = str_replace('\\$', '$', $part);
            $html .= $i % 2 === 1 ? '<span data-math="'.self::escaped($part).'"></span>' : self::escaped($part);
        }

        return $html;
    }

    private static function plain(string $html): string
    {
        $parts = Parts::split('~<span data-math="([^"<>]*)"></span>~', $html, PREG_SPLIT_DELIM_CAPTURE);
        $line = '';
        foreach ($parts as $i => $part) {
            $text = str_replace('$', '\\$', html_entity_decode($part, ENT_QUOTES | ENT_HTML5, 'UTF-8'));
            $line .= $i % 2 === 1 ? '$'.$text.'$' : $text;
        }

        return $line;
    }

    private static function escaped(string $text): string
    {
        return strtr($text, self::ESCAPES);
    }
}
