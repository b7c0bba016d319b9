<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;

/**
 * A question as a student writes one: plain words, a few options, one of them right, and for each wrong one the reason why somebody would
 * take it. A teacher reads it before anybody else does; let in, it becomes a choice question of the bank like any other.
 */
final readonly class ProposedQuestion
{
    public const MOST_OPTIONS = 6;
    private const PROMPT = 1000;
    private const OPTION = 200;
    private const WHY = 300;
    private const TITLE = 60;

    /**
     * @param list<array{text: string, why: string}> $options why somebody would take it; of the right one nothing
     * @param int                                    $key     place of the right one, from 0
     * @param string                                 $because why the right one is right; may be empty
     */
    private function __construct(public string $prompt, public array $options, public int $key, public string $because)
    {
    }

    /**
     * @param array<array-key, mixed> $json
     *
     * @throws \ChalkLadder\Core\Document\DocumentInvalid with what is missing, in words for who wrote it
     */
    public static function read(array $json): self
    {
        $node = new Node($json);
        $prompt = trim($node->text('prompt', self::PROMPT));
        if ($prompt === '') {
            $node->fault('prompt', 'Ask something.');
        }
        $key = $node->int('key', 0, self::MOST_OPTIONS - 1);
        $options = self::options($node, $key);
        $because = trim($node->text('because', self::PROMPT, ''));
        $node->rejectUnknown();
        $node->finish();

        return new self($prompt, $options, $key, $because);
    }

    /** @return array{prompt: string, options: list<array{text: string, why: string}>, key: int, because: string} */
    public function toArray(): array
    {
        return ['prompt' => $this->prompt, 'options' => $this->options, 'key' => $this->key, 'because' => $this->because];
    }

    /**
     * The JSON form of the bank's question that it becomes, called by how it begins. What the student wrote is text, never markup.
     *
     * @return array<string, mixed>
     */
    public function asQuestion(): array
    {
        $options = [];
        foreach ($this->options as $i => $option) {
            $options[] = [
                'id' => chr(ord('a') + $i),
                'text' => self::html($option['text']),
                'key' => $i === $this->key,
                'feedback' => Said::isRich($option['why']) ? self::html($option['why']) : $option['why'],
                'misconception' => null,
            ];
        }

        return [
            'version' => ItemReader::VERSION,
            'type' => 'choice',
            'title' => mb_strimwidth((string) preg_replace('/\s+/u', ' ', $this->prompt), 0, self::TITLE, '…'),
            'prompt' => self::html($this->prompt),
            'points' => '1',
            'skill' => null,
            'hint' => '',
            'explanation' => $this->because === '' ? '' : self::html($this->because),
            'rule' => ['options' => $options],
        ];
    }

    /** @return list<array{text: string, why: string}> */
    private static function options(Node $node, int $key): array
    {
        $options = [];
        $seen = [];
        foreach ($node->children('options', self::MOST_OPTIONS) as $i => $child) {
            $text = trim($child->text('text', self::OPTION));
            $why = trim($child->text('why', self::WHY, ''));
            $child->rejectUnknown();
            $same = mb_strtolower((string) preg_replace('/\s+/u', ' ', $text));
            if ($text === '') {
                $child->fault('text', 'Write this option, or take it out.');
            } elseif (isset($seen[$same])) {
                $child->fault('text', 'This says the same as an option above.');
            }
            if ($i !== $key && $why === '') {
                $child->fault('why', 'Say why somebody would take this one.');
            }
            $seen[$same] = true;
            $options[] = ['text' => $text, 'why' => $i === $key ? '' : $why];
        }
        if (count($options) < 2) {
            $node->fault('options', 'Give at least two options.');
        } elseif ($key >= count($options)) {
            $node->fault('key', 'Say which one is right.');
        }

        return $options;
    }

    private static function html(string $text): string
    {
        return '<p>'.str_replace("\n", '<br>', htmlspecialchars($text, ENT_QUOTES | ENT_HTML5)).'</p>';
    }
}
