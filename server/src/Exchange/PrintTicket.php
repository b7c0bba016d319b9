<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use ChalkLadder\Server\Platform\Http\Problem;
use Symfony\Component\HttpFoundation\UriSigner;

/** A short-lived, signed leave to read one paper, for the browser that turns a print page into a PDF. */
final readonly class PrintTicket
{
    private const SECONDS = 60;
    /** Only the signature is of use; nobody ever goes to this address. */
    private const PLACE = 'https://print.invalid/';

    public function __construct(private UriSigner $signer)
    {
    }

    public function issue(string $teamId, string $paperId): string
    {
        return substr(
            $this->signer->sign(self::PLACE.$paperId.'?team='.$teamId, new \DateInterval('PT'.self::SECONDS.'S')),
            strlen(self::PLACE.$paperId) + 1,
        );
    }

    /** @return string the team whose paper may be read */
    public function check(string $ticket, string $paperId): string
    {
        parse_str($ticket, $said);
        if (!is_string($said['team'] ?? null) || !$this->signer->check(self::PLACE.$paperId.'?'.$ticket)) {
            throw new Problem(401, 'This print leave has run out.', 'Ask for the PDF again.');
        }

        return $said['team'];
    }
}
