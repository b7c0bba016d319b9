<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\NumberText;

/**
 * What a student gave to one question. One kind of content each: a text, picked options, gaps, an order, pairs, marks on
 * a picture or grid, cells, or files.
 */
final readonly class Response
{
    public const LONGEST_TEXT = 20_000;
    private const MOST_OPTIONS = 40;
    private const MOST_PARTS = 100;
    private const LONGEST_PART = 500;
    private const KINDS = ['options', 'gaps', 'order', 'pairs', 'points', 'rings', 'labels', 'lines', 'intervals', 'cells', 'files'];

    /**
     * @param list<string>                      $options   option ids, sorted, each once
     * @param array<string, string>             $gaps      what stands in each gap, by the gap's id
     * @param list<string>                      $order     ids in the order given
     * @param list<array{string, string}>       $pairs     [left, right] or [thing, bin]
     * @param list<list<BigRational>>           $points    [x, y] in the units of the picture or grid
     * @param list<list<BigRational>>           $rings     [x, y, rx, ry]: centre and half-axes
     * @param array<string, list<BigRational>>  $labels    [x, y] by the label's id
     * @param list<list<BigRational>>           $lines     [x1, y1, x2, y2]
     * @param list<list<BigRational>>           $intervals [from, to]
     * @param list<list<string>>                $cells     rows of a table
     * @param list<string>                      $files     ids
     */
    private function __construct(
        public string $text = '',
        public array $options = [],
        public array $gaps = [],
        public array $order = [],
        public array $pairs = [],
        public array $points = [],
        public array $rings = [],
        public array $labels = [],
        public array $lines = [],
        public array $intervals = [],
        public array $cells = [],
        public array $files = [],
    ) {
    }

    public static function ofText(string $text): self
    {
        return new self($text);
    }

    public static function ofOptions(string ...$options): self
    {
        $options = array_values(array_unique($options));
        sort($options, SORT_STRING);

        return new self(options: $options);
    }

    /**
     * @param array<array-key, mixed> $json `{"text": …}`, `{"options": […]}` and so on; see docs/formats/question.md
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
        $kinds = array_values(array_filter(self::KINDS, $node->has(...)));
        $response = match ($kinds[0] ?? 'text') {
            'options' => self::ofOptions(...$node->texts('options', self::MOST_OPTIONS, 40)),
            'gaps' => new self(gaps: $node->textMap('gaps', self::MOST_PARTS, self::LONGEST_PART)),
            'order' => new self(order: $node->texts('order', self::MOST_PARTS, 40)),
            'pairs' => new self(pairs: self::pairs($node)),
            'cells' => new self(cells: array_map(
                static fn (Node $row): array => $row->ownTexts(30, self::LONGEST_PART),
                $node->children('cells', 60),
            )),
            'files' => new self($node->text('text', self::LONGEST_TEXT, ''), files: $node->texts('files', 20, 40)),
            'text' => self::ofText($node->text('text', self::LONGEST_TEXT, '')),
            // Marks of several kinds may lie on one picture or grid.
            default => new self(
                points: self::marks($node, 'points', 2),
                rings: self::marks($node, 'rings', 4),
                labels: self::labels($node),
                lines: self::marks($node, 'lines', 4),
                intervals: self::marks($node, 'intervals', 2),
            ),
        };
        $node->rejectUnknown();

        return $response;
    }

    /** @return array<string, mixed> as {@see fromArray()} reads it */
    public function toArray(): array
    {
        $write = static fn (array $mark): array => array_map(
            static fn (mixed $n): string => $n instanceof BigRational ? NumberText::write($n) : '',
            $mark,
        );
        $all = [
            'options' => $this->options, 'gaps' => $this->gaps, 'order' => $this->order, 'pairs' => $this->pairs,
            'points' => array_map($write, $this->points), 'rings' => array_map($write, $this->rings),
            'labels' => array_map($write, $this->labels), 'lines' => array_map($write, $this->lines),
            'intervals' => array_map($write, $this->intervals), 'cells' => $this->cells, 'files' => $this->files,
        ];
        $given = array_filter($all, static fn (array $part): bool => $part !== []);

        return $given === []
            ? ['text' => $this->text]
            : ($this->files !== [] && $this->text !== '' ? $given + ['text' => $this->text] : $given);
    }

    /** The same for two responses that say the same, letter by letter. */
    public function key(): string
    {
        return json_encode($this->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    public function isBlank(): bool
    {
        $written = [$this->text, ...array_values($this->gaps), ...array_merge(...$this->cells)];
        $marked = [
            $this->options,
            $this->order,
            $this->pairs,
            $this->points,
            $this->rings,
            $this->labels,
            $this->lines,
            $this->intervals,
            $this->files,
        ];

        return array_filter($written, static fn (string $t): bool => preg_match('/^[\p{Z}\p{C}\s]*$/Du', $t) !== 1) === []
            && array_filter($marked, static fn (array $part): bool => $part !== []) === [];
    }

    /** @return list<array{string, string}> */
    private static function pairs(Node $node): array
    {
        $pairs = [];
        foreach ($node->children('pairs', self::MOST_PARTS) as $pair) {
            $pairs[] = [$pair->text('0', 40), $pair->text('1', 40)];
            $pair->rejectUnknown();
        }

        return $pairs;
    }

    /** @return list<list<BigRational>> */
    private static function marks(Node $node, string $key, int $numbers): array
    {
        $marks = [];
        foreach ($node->children($key, self::MOST_PARTS) as $mark) {
            $marks[] = self::numbers($mark, $numbers);
        }

        return $marks;
    }

    /** @return list<BigRational> */
    private static function numbers(Node $mark, int $count): array
    {
        $numbers = [];
        for ($i = 0; $i < $count; ++$i) {
            $numbers[] = $mark->rational((string) $i, '-1000000', '1000000');
        }
        $mark->rejectUnknown();

        return $numbers;
    }

    /** @return array<string, list<BigRational>> */
    private static function labels(Node $node): array
    {
        if (!$node->has('labels')) {
            return [];
        }
        $labels = [];
        $all = $node->child('labels');
        foreach ($all->keys(self::MOST_PARTS) as $id) {
            $labels[$id] = self::numbers($all->child($id), 2);
        }

        return $labels;
    }
}
