<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Api\View;

use ChalkLadder\Server\Media\Entity\Upload;
use ChalkLadder\Server\Media\Uploads;

final readonly class UploadView
{
    /**
     * @param int           $received bytes that are there; the next piece begins here
     * @param int           $piece    bytes of a piece at most
     * @param FileView|null $file     what it has become, once it is whole
     */
    public function __construct(public string $id, public int $size, public int $received, public int $piece, public ?FileView $file)
    {
    }

    public static function of(Upload $upload, ?FileView $file): self
    {
        return new self($upload->id(), $upload->size(), $upload->received(), Uploads::PIECE, $file);
    }
}
