<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

use ChalkLadder\Core\Paper\Entry;
use ChalkLadder\Core\Paper\Piece;

/** Something to read or look at, by its place in the paper. */
final readonly class PlacedSourceView
{
    /**
     * @param string|null $file  a sound, a film or a PDF
     * @param bool        $stops playing, it stops where a question looks at it
     * @param bool        $inOrder nobody goes on to what they have not been at yet
     * @param list<GlossView> $glossary words of the passage that are told in plain ones
     * @param string|null $link   address of a page outside
     * @param list<PieceView> $pieces to be moved about on its picture
     */
    private function __construct(
        public string $entry,
        public string $title,
        public string $html,
        public ?string $picture,
        public string $alt,
        public ?string $file,
        public bool $stops,
        public array $glossary,
        public bool $inOrder,
        public ?string $link,
        public array $pieces,
    ) {
    }

    /**
     * @param list<Entry> $entries
     *
     * @return list<self> of the sources among them
     */
    public static function of(array $entries): array
    {
        $views = [];
        foreach ($entries as $entry) {
            $s = $entry->source;
            if ($s !== null) {
                $glossary = array_map(static fn (array $g): GlossView => new GlossView($g['word'], $g['meaning']), $s->glossary);
                $views[] = new self(
                    $entry->id,
                    $s->title,
                    $s->html,
                    $s->picture,
                    $s->alt,
                    $s->file,
                    $s->stops,
                    $glossary,
                    $s->inOrder,
                    $s->link,
                    array_values(array_map(
                        static fn (Piece $p): PieceView => new PieceView($p->text, $p->copies),
                        array_filter($s->pieces, static fn (Piece $p): bool => trim($p->text) !== ''),
                    )),
                );
            }
        }

        return $views;
    }
}
