<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use ChalkLadder\Core\Document\DocumentInvalid;

/** An answer that is not what was asked for: becomes an RFC 9457 problem document. */
final class Problem extends \RuntimeException
{
    /**
     * @param array<string, string> $fields message by field path
     * @param array<string, mixed>  $extra  further members of the document
     */
    public function __construct(
        public readonly int $status,
        public readonly string $title,
        public readonly string $detail = '',
        public readonly array $fields = [],
        public readonly array $extra = [],
        ?\Throwable $previous = null,
    ) {
        parent::__construct($title, $status, $previous);
    }

    public static function signedOut(): self
    {
        return new self(401, 'Sign in first.', 'You are not signed in, or it was too long ago.');
    }

    public static function notFound(string $what): self
    {
        return new self(404, $what.' was not found.', 'It may have been removed, or it belongs to another team.');
    }

    public static function refused(string $detail): self
    {
        return new self(403, 'This is not yours to do.', $detail);
    }

    /** More than is read at once, whatever it is. */
    public static function tooMuch(): self
    {
        return new self(413, 'This is too much at once.', 'Take it in parts. What you typed is still here.');
    }

    /** @param array<string, mixed> $extra */
    public static function conflict(string $title, string $detail, array $extra = []): self
    {
        return new self(409, $title, $detail, extra: $extra);
    }

    /** @param array<string, string> $fields */
    public static function invalid(array $fields, string $title = 'Some of this cannot be kept as it is.'): self
    {
        return new self(422, $title, implode(' ', array_unique($fields)), $fields);
    }

    public static function document(DocumentInvalid $e): self
    {
        $fields = [];
        foreach ($e->problems as $problem) {
            $fields[$problem->path] ??= $problem->message;
        }

        return self::invalid($fields);
    }
}
