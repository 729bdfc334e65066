/** What has to be got into a device, what was sent, and whether it is in force. */
