<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Response;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\HoldsFiles;

/** Files by their ids, with words beside them. */
final readonly class FilesResponse implements HoldsFiles
{
    public const MOST = 20;

    /** @param list<string> $files ids */
    public function __construct(public array $files, public string $text = '')
    {
    }

    public static function members(): array
    {
        return ['files', 'text'];
    }

    public static function read(Node $node): self
    {
        return new self($node->texts('files', self::MOST, 40), $node->text('text', TextResponse::LONGEST, ''));
    }

    public function files(): array
    {
        return $this->files;
    }

    public function said(): string
    {
        return $this->text;
    }

    public function isBlank(): bool
    {
        return $this->files === [] && TextResponse::isEmpty($this->text);
    }

    public function toArray(): array
    {
        return ($this->files === [] ? [] : ['files' => $this->files])
            + ($this->files === [] || $this->text !== '' ? ['text' => $this->text] : []);
    }
}
