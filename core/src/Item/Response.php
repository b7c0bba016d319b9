<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;

/** What a student gave: text for text, number and open questions, option ids for choices. */
final readonly class Response
{
    public const LONGEST_TEXT = 20_000;
    private const MOST_OPTIONS = 40;

    /** @param list<string> $options option ids, sorted, each once */
    private function __construct(public string $text, public array $options)
    {
    }

    public static function ofText(string $text): self
    {
        return new self($text, []);
    }

    public static function ofOptions(string ...$options): self
    {
        $options = array_values(array_unique($options));
        sort($options, SORT_STRING);

        return new self('', $options);
    }

    /**
     * @param array<array-key, mixed> $json `{"text": …}` or `{"options": […]}`
     *
     * @throws \ChalkLadder\Core\Document\DocumentInvalid
     */
    public static function fromArray(array $json): self
    {
        $node = new Node($json, 'value');
        $response = self::read($node);
        $node->finish();

        return $response;
    }

    /** The same from a place in a larger document; what is wrong is noted there. */
    public static function read(Node $node): self
    {
        $response = $node->has('options')
            ? self::ofOptions(...$node->texts('options', self::MOST_OPTIONS, 40))
            : self::ofText($node->text('text', self::LONGEST_TEXT, ''));
        $node->rejectUnknown();

        return $response;
    }

    /** @return array{text: string}|array{options: list<string>} */
    public function toArray(): array
    {
        return $this->options === [] ? ['text' => $this->text] : ['options' => $this->options];
    }

    public function isBlank(): bool
    {
        return $this->options === [] && preg_match('/^[\p{Z}\p{C}\s]*$/Du', $this->text) === 1;
    }
}
