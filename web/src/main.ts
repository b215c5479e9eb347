import { bootstrapApplication } from '@angular/platform-browser';
import { App } from './app/app';
import { appConfig } from './app/app.config';

// In a task of its own: a slow phone hears the hand between reading the program and drawing with it.
setTimeout(() => void bootstrapApplication(App, appConfig).catch((error: unknown) => console.error(error)));
