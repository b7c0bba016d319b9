<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

/** A question that a rule proposes, with the sentence it came from. It is nobody's question until a teacher has looked at it. */
final readonly class Candidate
{
    private const TITLE = 60;

    /**
     * @param string               $by       the rule, in words
     * @param array<string, mixed> $document as {@see \ChalkLadder\Core\Item\ItemTemplate} reads it
     */
    private function __construct(public string $by, public Sentence $from, public array $document)
    {
    }

    /**
     * @param string               $type   of the answer
     * @param string               $asked  plain text
     * @param string               $quoted what is quoted below it, plain text, or ''
     * @param array<string, mixed> $rule
     */
    public static function of(string $by, Sentence $from, string $type, string $asked, string $quoted, array $rule): self
    {
        $prompt = '<p>'.self::html($asked).'</p>'.($quoted === '' ? '' : '<p>“'.self::html($quoted).'”</p>');

        return new self($by, $from, [
            'version' => 1, 'type' => $type, 'title' => self::title($quoted === '' ? $from->text : $quoted), 'prompt' => $prompt, 'points' => '1',
            'skill' => null, 'hint' => '', 'explanation' => '', 'rule' => $rule,
        ]);
    }

    /**
     * Options in an order of their own, so that the key does not always stand first.
     *
     * @param non-empty-list<string> $texts plain, the key first
     *
     * @return array<string, mixed> a rule
     */
    public static function options(array $texts): array
    {
        $options = [];
        foreach ($texts as $i => $text) {
            $options[hash('xxh32', $text)] = ['id' => 'o'.$i, 'text' => '<p>'.self::html($text).'</p>', 'key' => $i === 0, 'feedback' => ''];
        }
        ksort($options, SORT_STRING);

        return ['options' => array_values($options)];
    }

    /** By its first words a teacher knows it again. */
    private static function title(string $text): string
    {
        return mb_strlen($text) <= self::TITLE ? $text : (string) preg_replace('/\s+\S*$/u', '', mb_substr($text, 0, self::TITLE)).' …';
    }

    public static function html(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE);
    }
}
