<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Api\View;

use ChalkLadder\Server\Media\Entity\MediaFile;

final readonly class FileView
{
    /**
     * @param string   $kind  picture, pdf, sound, film or document
     * @param int      $size  bytes
     * @param int|null $width pixels, of pictures and of a PDF's first page
     * @param int      $pages of a PDF; 0 where there are none
     */
    public function __construct(
        public string $id,
        public string $mediaType,
        public string $kind,
        public string $name,
        public int $size,
        public ?int $width,
        public ?int $height,
        public int $pages,
    ) {
    }

    public static function of(MediaFile $file): self
    {
        return new self(
            $file->id(),
            $file->mediaType(),
            $file->kind()->value,
            $file->name(),
            $file->size(),
            $file->width(),
            $file->height(),
            $file->pages(),
        );
    }
}
