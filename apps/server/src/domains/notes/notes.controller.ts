import { Body, Controller, Param } from '@nestjs/common';
import { NewNotePath, SetNoteBody, SetNoteReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { Serves } from '../../platform/http/serves.js';
import { NotesService } from './notes.service.js';

@Controller()
export class NotesController {
  constructor(private readonly notes: NotesService) {}

  @Serves(ROUTES.writeNote, { takes: SetNoteBody, gives: SetNoteReply })
  write(
    @Param() { clubId, noteId }: NewNotePath,
    @Body() body: SetNoteBody,
  ): Promise<SetNoteReply> {
    return this.notes.write(clubId, noteId, body);
  }
}
