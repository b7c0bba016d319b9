<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

/**
 * Something that questions refer to: a passage, a picture or a drawn board, a sound, a clip, a document kept page by page, a page outside,
 * or several of these. Files are named by their ids. The passage of a sound or a clip is its transcript, or what is said before it.
 */
final readonly class Source
{
    /** of a passage that can be looked at */
    public const MOST_LINES = 999;
    public const MOST_WORDS = 60;

    /**
     * @param string|null $file  a sound, a film or a PDF
     * @param bool        $stops playing, it stops where a question looks at it
     * @param bool        $inOrder it is heard or watched in order: nobody goes on to what they have not been at yet
     * @param list<array{word: string, meaning: string}> $glossary words of the passage, with what they mean in plain ones
     * @param Board|null  $board   what the picture was made of, where a teacher drew it
     * @param string|null $link    address of a page outside, opened beside the paper
     * @param list<Piece> $pieces  to be moved about on its picture
     */
    public function __construct(
        public string $title,
        public string $html,
        public ?string $picture = null,
        public string $alt = '',
        public ?string $file = null,
        public bool $stops = false,
        public array $glossary = [],
        public bool $inOrder = false,
        public ?Board $board = null,
        public ?string $link = null,
        public array $pieces = [],
    ) {
    }

    /** The same with its passage cleaned. */
    public function withHtml(string $html): self
    {
        return new self(
            $this->title,
            $html,
            $this->picture,
            $this->alt,
            $this->file,
            $this->stops,
            $this->glossary,
            $this->inOrder,
            $this->board,
            $this->link,
            $this->pieces,
        );
    }

    /** How many numbered lines the passage has; they are counted through, also where other things stand between them. */
    public function lines(): int
    {
        preg_match_all('#<(/?)(ol|ul|li)\b( data-lines)?#', $this->html, $tags, PREG_SET_ORDER);
        $lines = 0;
        /** @var list<bool> $lists those that are open here: whether each is of lines */
        $lists = [];
        foreach ($tags as $tag) {
            if ($tag[2] === 'li') {
                // A list within a line has no lines of its own.
                $lines += $tag[1] === '' && end($lists) === true ? 1 : 0;
            } elseif ($tag[1] === '') {
                $lists[] = isset($tag[3]);
            } else {
                array_pop($lists);
            }
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['title' => $this->title, 'html' => $this->html, 'picture' => $this->picture, 'alt' => $this->alt]
            + ($this->file === null ? [] : ['file' => $this->file]) + ($this->stops ? ['stops' => true] : [])
            + ($this->inOrder ? ['inOrder' => true] : [])
            + ($this->glossary === [] ? [] : ['glossary' => $this->glossary])
            + ($this->board === null ? [] : ['board' => $this->board->toArray()])
            + ($this->link === null ? [] : ['link' => $this->link])
            + ($this->pieces === [] ? [] : ['pieces' => array_map(static fn (Piece $p): array => $p->toArray(), $this->pieces)]);
    }
}
