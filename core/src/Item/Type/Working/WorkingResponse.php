<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Working;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\HoldsFiles;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\FilesResponse;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\Stroke;

/** What was drawn, stroke by stroke, with files and words beside it. */
final readonly class WorkingResponse implements HoldsFiles
{
    private const MOST = 3000;
    /** Of all strokes together: what a pen sends of about an hour of drawing. */
    private const MOST_POINTS = 30_000;

    /**
     * @param list<Stroke> $strokes in the order in which they were drawn
     * @param list<string> $files   ids
     */
    public function __construct(public array $strokes, public array $files = [], public string $text = '')
    {
    }

    public static function members(): array
    {
        return ['strokes', 'files', 'text'];
    }

    public static function read(Node $node): self
    {
        $strokes = array_map(Stroke::read(...), $node->children('strokes', self::MOST));
        if (array_sum(array_map(static fn (Stroke $s): int => $s->length(), $strokes)) > self::MOST_POINTS) {
            $node->fault('strokes', sprintf('A drawing has at most %d points.', self::MOST_POINTS));
        }

        return new self(
            $strokes,
            $node->texts('files', FilesResponse::MOST, 40),
            $node->text('text', TextResponse::LONGEST, ''),
        );
    }

    public function files(): array
    {
        return $this->files;
    }

    public function said(): string
    {
        return $this->text;
    }

    /** @return list<string> what was written on the drawing */
    public function words(): array
    {
        return array_values(array_filter(
            array_map(static fn (Stroke $s): string => trim($s->text), $this->strokes),
            static fn (string $w): bool => $w !== '',
        ));
    }

    public function isBlank(): bool
    {
        return $this->strokes === [] && $this->files === [] && TextResponse::isEmpty($this->text);
    }

    public function toArray(): array
    {
        return $this->isBlank() ? Response::NOTHING : [
            'strokes' => array_map(static fn (Stroke $s): array => $s->toArray(), $this->strokes),
            'files' => $this->files,
            'text' => $this->text,
        ];
    }
}
