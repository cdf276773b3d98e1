import { Body, Controller, Param, Put } from '@nestjs/common';
import { NewNotePath, SetNoteBody, SetNoteReply } from '@orthokin/contract';
import { Gives, Takes } from '../../platform/http/openapi.js';
import { NotesService } from './notes.service.js';

@Controller('clubs/:clubId/notes/:noteId')
export class NotesController {
  constructor(private readonly notes: NotesService) {}

  @Put()
  @Takes(SetNoteBody)
  @Gives(SetNoteReply)
  write(
    @Param() { clubId, noteId }: NewNotePath,
    @Body() body: SetNoteBody,
  ): Promise<SetNoteReply> {
    return this.notes.write(clubId, noteId, body);
  }
}
