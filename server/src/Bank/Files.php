<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use Symfony\Component\HttpFoundation\Response;

/** Pictures, kept in the database so that no machine's disk is the only copy. */
final readonly class Files
{
    private const LARGEST = 2_000_000;
    private const TYPES = [IMAGETYPE_PNG => 'image/png', IMAGETYPE_JPEG => 'image/jpeg', IMAGETYPE_GIF => 'image/gif', IMAGETYPE_WEBP => 'image/webp'];

    public function __construct(private Database $database)
    {
    }

    public function add(StaffUser $who, string $name, string $bytes): FileView
    {
        if (strlen($bytes) > self::LARGEST) {
            throw new Problem(413, 'The picture is too large.', 'At most 2 MB. Make it smaller and try again.');
        }
        $size = @getimagesizefromstring($bytes);
        $type = $size === false ? null : (self::TYPES[$size[2]] ?? null);
        if ($type === null) {
            throw Problem::invalid(['file' => 'This is not a PNG, JPEG, GIF or WebP picture.']);
        }

        return new FileView($this->store($who->teamId, $type, $name, $bytes), $type);
    }

    /** Keeps bytes whose type is known to be true: an upload that was examined, or a drawing of our own. */
    public function store(string $teamId, string $mediaType, string $name, string $bytes): string
    {
        $id = $this->database->newId();
        $this->database->run("INSERT INTO file (id, team_id, media_type, name, bytes) VALUES (:id, :team, :type, :name, decode(:bytes, 'base64'))", ['id' => $id, 'team' => $teamId, 'type' => $mediaType, 'name' => mb_substr($name, 0, 200), 'bytes' => base64_encode($bytes)]);

        return $id;
    }

    public function ofTeam(string $teamId, string $id): Response
    {
        return $this->send('SELECT media_type, bytes FROM file WHERE id = :id AND team_id = :who', $id, $teamId);
    }

    /** A picture for a student: only one that stands in a paper that was handed to them. */
    public function ofStudent(string $studentId, string $id): Response
    {
        return $this->send('SELECT f.media_type, f.bytes FROM file f WHERE f.id = :id AND EXISTS (SELECT 1 FROM edition_file ef JOIN handout h ON h.edition_id = ef.edition_id AND h.visible JOIN handout_student hs ON hs.handout_id = h.id WHERE ef.file_id = f.id AND hs.student_id = :who)', $id, $studentId);
    }

    private function send(string $sql, string $id, string $who): Response
    {
        $row = $this->database->row($sql, ['id' => $id, 'who' => $who]) ?? throw Problem::notFound('The file');

        return new Response($row->text('bytes'), 200, [
            'Content-Type' => $row->text('media_type'),
            'Cache-Control' => 'private, max-age=86400, immutable',
            'X-Content-Type-Options' => 'nosniff',
            // Opened on its own, a drawing must not run anything.
            'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; sandbox",
        ]);
    }
}
