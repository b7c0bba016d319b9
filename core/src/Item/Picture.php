<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;

/** A stored picture that an answer is laid on: its file, its size in pixels, and what it shows for who cannot see it. */
final readonly class Picture
{
    /** Pixels of a side: what files are made smaller to. */
    private const LONGEST = 4000;

    public function __construct(public string $file, public int $width, public int $height, public string $alt)
    {
    }

    public static function readOrNull(Node $node, string $key): ?self
    {
        if (!$node->has($key)) {
            return null;
        }
        $own = $node->child($key);
        $picture = new self(
            $own->text('file', 36),
            $own->int('width', 1, self::LONGEST),
            $own->int('height', 1, self::LONGEST),
            $own->text('alt', 500, ''),
        );
        $own->rejectUnknown();

        return $picture;
    }

    /** @return array{file: string, width: int, height: int, alt: string} */
    public function toArray(): array
    {
        return ['file' => $this->file, 'width' => $this->width, 'height' => $this->height, 'alt' => $this->alt];
    }
}
